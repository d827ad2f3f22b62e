<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A command for everyone without any cooldown. Silent where only some levels may use it, and where it is switched off.
 */
final readonly class NoCooldown extends AbstractCheck
{
    public function code(): string
    {
        return 'no-cooldown';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'Anyone may use {trigger} as often as they like.';
    }

    public function mend(): string
    {
        return 'Give it some seconds: 10 for the channel and 60 for a person are kind.';
    }

    public function reason(): string
    {
        return 'One bored viewer is enough to fill the chat with it.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            if (
                $command->isOn()
                && $command->gates->get(Cooldown::class)->write() === Cooldown::none()->write()
                && $command->gates->get(ForLevels::class)->rule->isForEveryone()
            ) {
                $findings[] = new Finding($this, null, "/commands/$index/cooldown", ['trigger' => $command->trigger]);
            }
        }

        return $findings;
    }
}
