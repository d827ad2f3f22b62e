<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Pack\Command;

/** A deed that changes a command which is there, and which is for whoever changes it. */
abstract class CommandDeed extends PackDeed
{
    final public function inputs(): array
    {
        return ['name' => '[word 1]'] + $this->more();
    }

    final public function edit(array $with, DeedScene $scene): Edited|ActionDone
    {
        $command = NamedCommand::typed($with['name'], $scene);

        return $command instanceof Command ? $this->change($command, $with, $scene) : $command;
    }

    /** @return array<string, string> what it must know besides which command, as inputs() has it */
    protected function more(): array
    {
        return [];
    }

    /** @param  array<string, string>  $with */
    abstract protected function change(Command $command, array $with, DeedScene $scene): Edited|ActionDone;
}
