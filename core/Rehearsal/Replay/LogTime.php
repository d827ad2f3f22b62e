<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

use DateTimeZone;
use SilverParrot\Value\Moment;

/** When something was written, as far as a log says: at a moment, on a day at a time, or at a time of some day. */
final readonly class LogTime
{
    private const TIME = '/^(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d{1,6})?)?\s?([AaPp][Mm])?$/D';

    /** ISO 8601 with its zone. */
    private const MOMENT =
        '/^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d{1,9})?)?(?:Z|[+-]\d{2}:?\d{2})$/D';

    private const DATE = '/^(?:(\d{4})-(\d{1,2})-(\d{1,2})|(\d{1,2})\.(\d{1,2})\.(\d{4}))$/D';

    /** Days and months in words, as some programs write the head of a day. */
    private const WORDS = '/^[A-Za-z]{3} ([A-Za-z]{3}) +(\d{1,2})(?: (\d{1,2}):(\d{2}):(\d{2}))? (\d{4})$/D';

    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    /** Behind it a number counts milliseconds: in seconds it would be the year 5138. */
    private const MILLIS_FROM = 100_000_000_000;

    /**
     * @param  int|null  $millis  since 1970; null where only a day or a time is known
     * @param  array{int, int, int}|null  $day  year, month, day
     * @param  int|null  $second  of the day
     */
    private function __construct(public ?int $millis, public ?array $day, public ?int $second)
    {
    }

    /** @return self|null null for what is no time at all */
    public static function of(string $text): ?self
    {
        $text = trim($text, " \t[]()");
        if (preg_match('/^\d{9,13}(?:\.\d{1,6})?$/D', $text) === 1) {
            $number = (float) $text;

            return new self((int) round($number < self::MILLIS_FROM ? $number * 1000 : $number), null, null);
        }
        if (preg_match(self::MOMENT, $text) === 1) {
            $at = Moment::fromIso(strtr($text, ' ', 'T'));

            return $at === null ? null : new self($at->millis, null, null);
        }
        if (preg_match(self::WORDS, $text, $part) === 1) {
            $month = array_search(strtolower($part[1]), self::MONTHS, true);

            return $month === false ? null : self::on(
                [(int) $part[6], $month + 1, (int) $part[2]],
                $part[3] === '' ? null : (int) $part[3] * 3600 + (int) $part[4] * 60 + (int) $part[5],
            );
        }
        $parts = preg_split('/(?:T|,?\s)/', $text, 2) ?: [''];
        $day = self::day($parts[0]);
        $second = self::second($day === null ? $text : $parts[1] ?? '');

        return match (true) {
            $day !== null && isset($parts[1]) && $second === null => null,
            $day !== null => self::on($day, $second),
            $second !== null => new self(null, null, $second),
            default => null,
        };
    }

    /** @param  array{int, int, int}  $day  the day of a time that has none */
    public function in(DateTimeZone $zone, array $day): int
    {
        if ($this->millis !== null) {
            return $this->millis;
        }
        $second = $this->second ?? 0;
        $at = (new Moment(0))
            ->in($zone)
            ->setDate(...$this->day ?? $day)
            ->setTime(intdiv($second, 3600), intdiv($second, 60) % 60, $second % 60);

        return (int) $at->format('U') * 1000;
    }

    /** @param  array{int, int, int}  $day */
    private static function on(array $day, ?int $second): ?self
    {
        return checkdate($day[1], $day[2], $day[0]) ? new self(null, $day, $second) : null;
    }

    /** @return array{int, int, int}|null */
    private static function day(string $text): ?array
    {
        if (preg_match(self::DATE, $text, $part) !== 1) {
            return null;
        }

        return $part[1] !== ''
            ? [(int) $part[1], (int) $part[2], (int) $part[3]]
            : [(int) $part[6], (int) $part[5], (int) $part[4]];
    }

    private static function second(string $text): ?int
    {
        if (preg_match(self::TIME, trim($text), $part) !== 1) {
            return null;
        }
        $hour = (int) $part[1];
        $half = strtolower($part[4] ?? '');
        if ($half !== '') {
            $hour = $hour % 12 + ($half === 'pm' ? 12 : 0);
        }

        return $hour < 24 && (int) $part[2] < 60 ? $hour * 3600 + (int) $part[2] * 60 + (int) ($part[3] ?? 0) : null;
    }
}
