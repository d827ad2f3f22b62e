<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A word without a sign before it that also begins ordinary lines. Silent on what is too common anyway. */
final readonly class TriggerWithoutSign extends AbstractCheck
{
    public function code(): string
    {
        return 'trigger-without-sign';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'A line like “{trigger} is on again” triggers this command: “{trigger}” has no sign before it.';
    }

    public function mend(): string
    {
        return 'Write “{instead}”.';
    }

    public function reason(): string
    {
        return 'People begin sentences with plain words, and do not mean the parrot then.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->isOn() ? $command->triggers->byPlace() : [] as $place => $trigger) {
                if (preg_match('/^[\p{L}\p{N}]/u', $trigger) === 1 && ! TriggerTooCommon::isEveryday($trigger)) {
                    $findings[] = new Finding(
                        $this,
                        null,
                        "/commands/$index/$place",
                        ['trigger' => $trigger, 'instead' => "!$trigger"],
                        "!$trigger",
                    );
                }
            }
        }

        return $findings;
    }
}
