<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/** A trigger or alias sets off one command only. Silent on triggers of one’s own. */
final readonly class TriggerTaken extends AbstractCheck implements AcrossCommands
{
    public function code(): string
    {
        return 'trigger-taken';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{trigger} is used by {other} already, so it never triggers this command.';
    }

    public function mend(): string
    {
        return 'Take another trigger here or there.';
    }

    public function reason(): string
    {
        return 'The first command that has a trigger is the one that hears it.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $owners = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->triggers->byPlace() as $place => $trigger) {
                $folded = Fold::caseless($trigger);
                if (isset($owners[$folded]) && $owners[$folded][0] !== $index) {
                    $findings[] = new Finding(
                        $this,
                        null,
                        "/commands/$index/$place",
                        ['trigger' => $trigger, 'other' => $owners[$folded][1]],
                    );
                }
                $owners[$folded] ??= [$index, $command->trigger];
            }
        }

        return $findings;
    }
}
