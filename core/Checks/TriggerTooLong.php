<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A trigger that nobody can remember. Silent where a shorter alias is there, and on commands that are not on the public
 * list.
 */
final readonly class TriggerTooLong extends AbstractCheck
{
    public function code(): string
    {
        return 'trigger-too-long';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return '{trigger} has {letters} letters; few will remember it.';
    }

    public function mend(): string
    {
        return 'Take one short word, or add a shorter alias.';
    }

    public function reason(): string
    {
        return 'One short word, about 15 letters at most, is what people type without looking it up (common practice).';
    }

    private const MOST = 15;

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            $short = array_filter(
                $command->triggers->all(),
                static fn (string $trigger): bool => mb_strlen(ltrim($trigger, '!')) <= self::MOST,
            );
            if ($command->about->listed && $short === [] && $command->triggers->all() !== []) {
                $findings[] = new Finding($this, null, "/commands/$index/trigger", [
                    'trigger' => $command->trigger,
                    'letters' => (string) mb_strlen(ltrim($command->trigger, '!')),
                ]);
            }
        }

        return $findings;
    }
}
