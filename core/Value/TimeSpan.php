<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** The stretch between two moments. Calendar questions ("how many days?") need both ends. */
final readonly class TimeSpan implements Value
{
    /** Invariant: from is not after to. */
    private function __construct(public Moment $from, public Moment $to)
    {
    }

    /** Null where the second moment is before the first. */
    public static function between(Moment $from, Moment $to): ?self
    {
        return $to->millis < $from->millis ? null : new self($from, $to);
    }

    public function millis(): int
    {
        return $this->to->millis - $this->from->millis;
    }
}
