<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Reset;

/**
 * A counter's number as it is kept: bare where it lasts; beside the stream or day that it counts for where it begins
 * anew, so that a new one starts without anything having to be written, in every category and for every viewer.
 */
final class Counted
{
    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept
     * @param  string  $period  the running stream or day; empty where the counter lasts
     */
    public static function number(Counter $counter, null|bool|int|string|array $kept, string $period): int
    {
        return match (true) {
            is_int($kept) => $kept,
            is_array($kept) && is_int($kept['n'] ?? null) && ($counter->reset === Reset::Never || ($kept['of'] ?? null) === $period) => $kept['n'],
            default => $counter->start,
        };
    }

    /** @return int|array{n: int, of: string} */
    public static function kept(Counter $counter, int $number, string $period): int|array
    {
        return $counter->reset === Reset::Never ? $number : ['n' => $number, 'of' => $period];
    }
}
