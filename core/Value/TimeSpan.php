<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** The stretch between two moments. Calendar questions ("how many days?") need both ends. */
final readonly class TimeSpan implements Value
{
    /** A length of time as typed: a number and a unit, several after one another. */
    private const UNITS = ['second' => 1, 'minute' => 60, 'hour' => 3_600, 'day' => 86_400, 'week' => 604_800];

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

    /** @return int|null seconds of a written length like "2 days" or "1 hour 30 minutes" */
    public static function secondsOf(string $text): ?int
    {
        $words = preg_split('/\s+/', trim(mb_substr($text, 0, 60)), flags: PREG_SPLIT_NO_EMPTY) ?: [];
        $seconds = 0;
        for ($i = 0; $i + 1 < count($words); $i += 2) {
            $unit = self::UNITS[rtrim(strtolower($words[$i + 1]), 's')] ?? null;
            if ($unit === null || ! ctype_digit($words[$i]) || strlen($words[$i]) > 6) {
                return null;
            }
            $seconds += (int) $words[$i] * $unit;
        }

        return $words === [] || count($words) % 2 === 1 ? null : $seconds;
    }
}
