<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Triggers;

/** A command answers to another trigger too. */
final class AddAlias extends CommandDeed
{
    public static function key(): string
    {
        return 'add alias';
    }

    protected function more(): array
    {
        return ['alias' => '[word 2]'];
    }

    public function gives(): array
    {
        return ['name', 'after'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone
    {
        $alias = NamedCommand::free($with['alias'], $scene);

        return match (true) {
            $alias instanceof ActionDone => $alias,
            count($command->triggers->aliases) >= Triggers::MOST_ALIASES => ActionDone::refused('too-many-aliases', [
                'name' => $command->trigger,
                'most' => Triggers::MOST_ALIASES,
            ]),
            default => Edited::command($scene->pack, $command, $command->alsoOn($alias), [
                'name' => $command->trigger,
                'after' => $alias,
            ]),
        };
    }
}
