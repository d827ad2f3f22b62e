<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * Timers that drown a quiet chat: 15 minutes is too often for most, 30 is kind, with 5 to 20 lines by people between
 * (common practice). Silent on what is switched off.
 */
final readonly class TimerTooOften extends AbstractCheck implements OfDefinitions, OfTimers
{
    private const MINUTES = 20;

    private const LINES = 5;

    public function code(): string
    {
        return 'timer-too-often';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'The timer {name} speaks {how}.';
    }

    public function mend(): string
    {
        return 'Let it wait for 30 minutes and 10 lines.';
    }

    public function reason(): string
    {
        return 'In a quiet chat the parrot talks to itself, and people leave (common practice).';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->timers as $place => $timer) {
            $how = match (true) {
                $timer->minutes === 1 => 'every minute',
                $timer->minutes > 0 && $timer->minutes < self::MINUTES => "every {$timer->minutes} minutes",
                $timer->lines === 0 => 'whether or not anybody writes',
                $timer->lines === 1 => 'after one line',
                $timer->lines < self::LINES => "after {$timer->lines} lines",
                default => null,
            };
            if ($timer->isOn && $how !== null) {
                $findings[] = new Finding($this, null, "/timers/$place", ['name' => $timer->name, 'how' => $how]);
            }
        }

        return $findings;
    }
}
