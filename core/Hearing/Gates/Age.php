<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Value\Moment;

/** How long ago something was, as gates count it. */
final class Age
{
    /**
     * A line that waits for the outside is decided after later ones; their moments lie ahead of its own by so much at
     * most.
     */
    private const AHEAD_MILLIS = 10_000;

    /** @return int|null null for what lies ahead: it was noted under a clock that was wrong, and counts for nothing */
    public static function millis(int $at, Moment $now): ?int
    {
        return $at <= $now->millis + self::AHEAD_MILLIS ? max(0, $now->millis - $at) : null;
    }
}
