<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Pack\Command;

/** A command goes; it can be restored on the screen. */
final class DeleteCommand extends CommandDeed
{
    public static function key(): string
    {
        return 'delete command';
    }

    public function gives(): array
    {
        return ['name', 'before'];
    }

    protected function change(Command $command, array $with, DeedScene $scene): Edited
    {
        return Edited::command($scene->pack, $command, null, [
            'name' => $command->trigger,
            'before' => ($command->responses[0] ?? null)?->text() ?? '',
        ]);
    }
}
