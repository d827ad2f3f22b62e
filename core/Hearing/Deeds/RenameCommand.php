<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Triggers;

/** A command goes by another trigger; all that hangs on it stays. */
final class RenameCommand extends CommandDeed
{
    public static function key(): string
    {
        return 'rename command';
    }

    protected function more(): array
    {
        return ['to' => '[word 2]'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $trigger = NamedCommand::free($with['to'], $scene, $command);
        if ($trigger instanceof ActionDone) {
            return $trigger;
        }
        if ($trigger === $command->trigger) {
            return ActionDone::refused('is-already', ['name' => $trigger]);
        }
        $triggers = $command->triggers;
        $renamed = $command->on(new Triggers(
            $trigger,
            array_values(array_diff($triggers->aliases, [$trigger])),
            $triggers->phrases,
            $triggers->isNameOnly,
        ));

        return Edited::command($scene->pack, $command, $renamed, [
            'name' => $trigger,
            'before' => $command->trigger,
            'after' => $trigger,
        ]);
    }
}
