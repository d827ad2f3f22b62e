<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\LooseFold;
use SilverParrot\Source\Severity;

/**
 * Triggers of two commands are the same where accents or marks are not typed exactly. Silent where they are the same.
 */
final readonly class TriggerAlike extends AbstractCheck implements AcrossCommands
{
    public function code(): string
    {
        return 'trigger-alike';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{trigger} and {other} are the same to whoever types no accents: “{typed}” sets off {winner}.';
    }

    public function mend(): string
    {
        return 'Take another trigger here or there.';
    }

    public function reason(): string
    {
        return 'Many type without accents, and get the answer of the other command.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $owners = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->triggers->byPlace() as $place => $trigger) {
                $loose = LooseFold::of($trigger);
                [$owner, $other] = $owners[$loose] ?? [$index, $trigger];
                if ($owner !== $index && Fold::caseless($other) !== Fold::caseless($trigger)) {
                    $findings[] = new Finding($this, null, "/commands/$index/$place", [
                        'trigger' => $trigger,
                        'other' => $other,
                        'typed' => $loose,
                        'winner' => ($at->pack->byTrigger[$loose] ?? $at->pack->commands[$owner])->trigger,
                    ]);
                }
                $owners[$loose] ??= [$index, $trigger];
            }
        }

        return $findings;
    }
}
