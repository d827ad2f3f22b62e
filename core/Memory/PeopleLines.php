<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Value\Moment;

/**
 * How many lines people have written that were no commands: since counting began, and in each of the last minutes. Kept
 * is {lines, minutes}; what was kept before there were minutes is a number alone.
 */
final readonly class PeopleLines
{
    /** Minutes that are looked back on, at most. */
    public const LONGEST = 60;

    /** @param  array<int, int>  $minutes  lines by minute since 1970, none that are empty */
    private function __construct(public int $count, private array $minutes)
    {
    }

    public static function in(View $memory): self
    {
        $kept = $memory->value(Key::peopleLines());
        $minutes = [];
        if (is_array($kept) && is_array($kept['minutes'] ?? null)) {
            foreach ($kept['minutes'] as $minute => $lines) {
                $minutes[(int) $minute] = is_int($lines) ? $lines : 0;
            }
        }
        $count = is_array($kept) ? $kept['lines'] ?? 0 : $kept;

        return new self(is_int($count) ? $count : 0, $minutes);
    }

    /** What is kept once so many more have come. */
    public static function more(View $memory, int $lines, Moment $now): Change
    {
        $are = self::in($memory);
        $minute = intdiv($now->millis, 60_000);
        $minutes = array_filter(
            $are->minutes,
            static fn (int $one): bool => $one > $minute - self::LONGEST,
            ARRAY_FILTER_USE_KEY,
        );
        $minutes[$minute] = ($minutes[$minute] ?? 0) + $lines;
        $key = Key::peopleLines();

        return new Change(
            $key,
            $memory->value($key),
            ['lines' => $are->count + $lines, 'minutes' => $minutes],
            '',
            '',
        );
    }

    /** Lines of so many minutes, the one that has begun among them. */
    public function within(int $minutes, Moment $now): int
    {
        $first = intdiv($now->millis, 60_000) - $minutes;

        return array_sum(
            array_filter($this->minutes, static fn (int $one): bool => $one > $first, ARRAY_FILTER_USE_KEY),
        );
    }
}
