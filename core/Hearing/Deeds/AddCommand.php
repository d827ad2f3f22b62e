<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Source\Limits;

/** A new command, for everyone, that says a text. */
final class AddCommand extends PackDeed
{
    public static function key(): string
    {
        return 'add command';
    }

    public function inputs(): array
    {
        return ['name' => '[word 1]', 'text' => '[words 2]', 'cooldown' => ''];
    }

    public function gives(): array
    {
        return ['name', 'after'];
    }

    public function edit(array $with, DeedScene $scene): Edited|ActionDone
    {
        if (count($scene->pack->commands) >= Limits::COMMANDS) {
            return ActionDone::refused('too-many-commands', ['most' => Limits::COMMANDS]);
        }
        $trigger = NamedCommand::free($with['name'], $scene);
        if ($trigger instanceof ActionDone) {
            return $trigger;
        }
        $seconds = SetCooldown::seconds($with['cooldown'] === '' ? '10' : $with['cooldown']);
        if ($seconds instanceof ActionDone) {
            return $seconds;
        }
        // What went by it once may live on under another trigger.
        $id = $scene->pack->byId($trigger) === null
            ? $trigger
            : 'c'.hash('xxh64', "$trigger {$scene->now->millis}");
        $command = Say::on($trigger, $with['text'])
            ->gated(new Cooldown($seconds))
            ->called($id);

        return TypedText::refusal($with['text'], $command, $scene)
            ?? Edited::command($scene->pack, null, $command, ['name' => $trigger, 'after' => $with['text']]);
    }
}
