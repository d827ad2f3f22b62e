<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Source\Fold;
use SilverParrot\Value\LengthOfTime;
use SilverParrot\Value\Moment;

/**
 * A moment as somebody writes it: "10 days ago", "in 2 hours", "yesterday 18:30", "25/12/2026" with day and month in
 * the order of the channel's language, "3 May", or as ISO 8601 has it.
 */
final readonly class TypedMoment
{
    /** Characters that are looked at. */
    private const LONGEST = 60;

    private const DAYS = ['today' => 0, 'yesterday' => -1, 'tomorrow' => 1];

    private function __construct(private Channel $channel, private Moment $now, private bool $isComing)
    {
    }

    /**
     * @param  bool  $isComing  whether a bare "10 days", and a date without its year, lies ahead
     * @return Moment|null null for what is none
     */
    public static function read(string $text, Channel $channel, Moment $now, bool $isComing = false): ?Moment
    {
        $text = Fold::caseless(trim((string) preg_replace('/\s+/u', ' ', mb_substr($text, 0, self::LONGEST))));
        $moment = (new self($channel, $now, $isComing))->moment($text);

        return $moment?->canBeWritten() === true ? $moment : null;
    }

    /** Whether it may be one in some language. */
    public static function mayBe(string $text): bool
    {
        return preg_match('/\d/', $text) === 1 && preg_match('/^[\d\s]*$/', $text) !== 1
            || in_array(Fold::caseless(trim($text)), ['now', ...array_keys(self::DAYS)], true);
    }

    /** How a date with day and month is written here: "25/12/2026". */
    public static function example(Channel $channel): string
    {
        $parts = ['d' => '25', 'm' => '12', 'y' => '2026'];

        return implode('/', array_map(static fn (string $part): string => $parts[$part], self::order($channel)));
    }

    private function moment(string $text): ?Moment
    {
        $zone = $this->channel->zone;
        $bare = LengthOfTime::typed($text);

        return match (true) {
            $text === 'now' => $this->now,
            str_ends_with($text, ' ago') => LengthOfTime::typed(mb_substr($text, 0, -4))?->before($this->now, $zone),
            str_starts_with($text, 'in ') => LengthOfTime::typed(mb_substr($text, 3))?->after($this->now, $zone),
            $bare !== null && $this->isComing => $bare->after($this->now, $zone),
            $bare !== null => $bare->before($this->now, $zone),
            default => Moment::fromIso(strtoupper($text), $zone) ?? $this->day($text),
        };
    }

    /** A day, with a time behind it where one is written. */
    private function day(string $text): ?Moment
    {
        [$hour, $minute, $isTimed] = [0, 0, false];
        if (preg_match('/^(.*\S) (?:at )?(\d{1,2}):(\d\d)$/Du', $text, $part) === 1) {
            [$text, $hour, $minute, $isTimed] = [$part[1], (int) $part[2], (int) $part[3], true];
        }
        if ($hour > 23 || $minute > 59) {
            return null;
        }
        $now = $this->now->in($this->channel->zone);
        if (isset(self::DAYS[$text])) {
            return Moment::of($now->modify(self::DAYS[$text].' days')->setTime($hour, $minute));
        }
        $date = $this->numbers($text) ?? $this->words($text);
        if ($date === null) {
            return null;
        }
        [$day, $month, $year] = $date;
        if ($year !== null) {
            return checkdate($month, $day, $year)
                ? Moment::of($now->setDate($year, $month, $day)->setTime($hour, $minute))
                : null;
        }
        // Without its year it is the nearest on the side that is meant.
        $way = $this->isComing ? 1 : -1;
        for ($year = (int) $now->format('Y') - $way, $try = 0; $try < 10; $try++, $year += $way) {
            $moment = checkdate($month, $day, $year)
                ? Moment::of($now->setDate($year, $month, $day)->setTime($hour, $minute))
                : null;
            $limit = $isTimed ? $this->now : Moment::of($now->setTime(0, 0));
            if ($moment !== null && $way * ($moment->millis - $limit->millis) >= 0) {
                return $moment;
            }
        }

        return null;
    }

    /** @return array{int, int, int|null}|null day, month and year of 25/12/2026, 25.12., 12-25 */
    private function numbers(string $text): ?array
    {
        $text = str_replace('. ', '.', $text);
        if (preg_match('/^(\d{1,4})([.\/-])(\d{1,2})(?:\2(\d{1,4}))?\.?$/D', $text, $part) !== 1) {
            return null;
        }
        $order = self::order($this->channel);
        $typed = [$part[1], $part[3], ...isset($part[4]) ? [$part[4]] : []];
        $order = count($typed) === 2 ? array_values(array_diff($order, ['y'])) : $order;
        $named = array_combine($order, $typed);
        $year = isset($named['y']) ? (int) $named['y'] : null;
        // Of two digits, a year of this century.
        $isShort = strlen($named['y'] ?? '0000') < 3;

        return [(int) ($named['d'] ?? 0), (int) ($named['m'] ?? 0), $isShort && $year !== null ? 2_000 + $year : $year];
    }

    /** @return array{int, int, int|null}|null day, month and year of "25 December 2026", "Dec 25" */
    private function words(string $text): ?array
    {
        $words = preg_split('/[ ,]+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        [$day, $month, $year] = [null, null, null];
        foreach (count($words) > 4 ? [] : $words as $word) {
            $number = preg_match('/^(\d{1,4})(?:\.|st|nd|rd|th)?$/D', $word, $part) === 1 ? (int) $part[1] : null;
            match (true) {
                $number !== null && $number <= 31 && $day === null => $day = $number,
                $number !== null && $number > 31 && $year === null => $year = $number,
                $number === null && $month === null => $month = $this->month(rtrim($word, '.')),
                default => $month = null,
            };
        }

        return $day === null || $month === null ? null : [$day, $month, $year];
    }

    private function month(string $word): ?int
    {
        foreach (array_unique([$this->channel->language, 'en']) as $language) {
            $day = new \DateTimeImmutable('2026-01-15T00:00:00Z');
            foreach (['MMMM', 'LLLL', 'MMM', 'LLL'] as $pattern) {
                $names = new \IntlDateFormatter($language, -1, -1, 'UTC', null, $pattern);
                for ($month = 1; $month <= 12; $month++) {
                    $name = Fold::caseless((string) $names->format($day->setDate(2026, $month, 15)));
                    if (rtrim($name, '.') === $word) {
                        return $month;
                    }
                }
            }
        }

        return null;
    }

    /** @return list<string> d, m and y as the channel's language has them */
    private static function order(Channel $channel): array
    {
        $pattern = (new \IntlDateFormatter($channel->language, \IntlDateFormatter::SHORT, -1, 'UTC'))->getPattern();
        $places = [];
        foreach (['d' => 'd', 'm' => 'M', 'y' => 'y'] as $part => $letter) {
            $place = is_string($pattern) ? strpos($pattern, $letter) : false;
            $places[$part] = $place === false ? 99 : $place;
        }
        asort($places);

        return array_keys($places);
    }
}
