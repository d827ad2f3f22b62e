<?php

declare(strict_types=1);

namespace SilverParrot\Value;

use DateTimeImmutable;
use DateTimeZone;

/**
 * A length of time as somebody writes it: "2 days", "1 hour 30 minutes". Days and what is longer go by the calendar of
 * a zone, hours and what is shorter are exact. A month from the 31st on ends with the last day of a shorter one, as ICU
 * counts.
 */
final readonly class LengthOfTime
{
    private const SECONDS = ['second' => 1, 'minute' => 60, 'hour' => 3_600];

    private const DAYS = ['day' => 1, 'week' => 7];

    private const MONTHS = ['month' => 1, 'year' => 12];

    /** Digits of each number in it. */
    private const DIGITS = 6;

    private function __construct(public int $months, public int $days, public int $seconds)
    {
    }

    /** @return self|null null for a text that is none */
    public static function typed(string $text): ?self
    {
        $words = preg_split('/\s+/', trim(mb_substr($text, 0, 60)), flags: PREG_SPLIT_NO_EMPTY) ?: [];
        [$months, $days, $seconds] = [0, 0, 0];
        foreach (array_chunk($words, 2) as $pair) {
            [$number, $unit] = [$pair[0], rtrim(strtolower($pair[1] ?? ''), 's')];
            if (! ctype_digit($number) || strlen($number) > self::DIGITS) {
                return null;
            }
            if (! isset(self::MONTHS[$unit]) && ! isset(self::DAYS[$unit]) && ! isset(self::SECONDS[$unit])) {
                return null;
            }
            $months += (int) $number * (self::MONTHS[$unit] ?? 0);
            $days += (int) $number * (self::DAYS[$unit] ?? 0);
            $seconds += (int) $number * (self::SECONDS[$unit] ?? 0);
        }

        return $words === [] ? null : new self($months, $days, $seconds);
    }

    public function after(Moment $moment, DateTimeZone $zone): Moment
    {
        return $this->shifted($moment, $zone, 1);
    }

    public function before(Moment $moment, DateTimeZone $zone): Moment
    {
        return $this->shifted($moment, $zone, -1);
    }

    private function shifted(Moment $moment, DateTimeZone $zone, int $way): Moment
    {
        $here = $moment->in($zone);
        $there = $this->months === 0 ? $here : self::monthsOn($here, $way * $this->months);
        if ($this->days !== 0) {
            $day = (int) $there->format('j') + $way * $this->days;
            $there = $there->setDate((int) $there->format('Y'), (int) $there->format('n'), $day);
        }
        // The same time of the day; where the clocks were changed, another number of hours lies between.
        $seconds = $there->getTimestamp() - $here->getTimestamp() + $way * $this->seconds;

        return $moment->plusMillis($seconds * 1_000);
    }

    private static function monthsOn(DateTimeImmutable $date, int $months): DateTimeImmutable
    {
        $month = (int) $date->format('Y') * 12 + (int) $date->format('n') - 1 + $months;
        $first = $date->setDate((int) floor($month / 12), $month - 12 * (int) floor($month / 12) + 1, 1);

        return $first->setDate(
            (int) $first->format('Y'),
            (int) $first->format('n'),
            min((int) $date->format('j'), (int) $first->format('t')),
        );
    }
}
