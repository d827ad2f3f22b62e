<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\CommandResponse;

/** What a command says, as its author wrote it; it is not run. */
final class ShowCommand implements Deed
{
    public static function key(): string
    {
        return 'show command';
    }

    public function inputs(): array
    {
        return ['name' => '[word 1]'];
    }

    public function gives(): array
    {
        return ['name', 'after', 'has'];
    }

    public function do(array $with, DeedScene $scene): ActionDone
    {
        $command = NamedCommand::typed($with['name'], $scene);

        return $command instanceof ActionDone ? $command : ActionDone::with([], [
            'name' => $command->trigger,
            'after' => implode(' | ', array_map(
                static fn (CommandResponse $one): string => $one->text(),
                $command->responses,
            )),
            'has' => count($command->responses),
        ]);
    }
}
