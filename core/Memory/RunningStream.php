<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Value\Moment;

/**
 * Which stream is running. It ends when the service says so, or when nothing was heard of it for longer than two
 * minutes.
 */
final class RunningStream
{
    /** A stream that breaks off and comes back within this is the same one (common practice). */
    public const GONE_SECONDS = 120;

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept  under Key::stream()
     * @param  bool|null  $isLive  null when the service could not be asked
     * @return Change|null null where nothing is to be kept otherwise
     */
    public static function look(null|bool|int|string|array $kept, ?bool $isLive, Moment $now): ?Change
    {
        $state = is_array($kept) ? $kept : [];
        $last = is_string($state['last_live'] ?? null) ? Moment::fromIso($state['last_live']) : null;
        $isOn = ($state['on'] ?? null) === true;
        $isGone = $last === null || $now->millis - $last->millis > self::GONE_SECONDS * 1000;
        $after = match (true) {
            $isLive === true && (! $isOn || $isGone) => [
                'number' => self::number($kept) + 1,
                'on' => true,
                'started' => $now->iso(),
                'last_live' => $now->iso(),
            ],
            $isLive === true => ['last_live' => $now->iso()] + $state,
            $isOn && ($isLive === false || $isGone) => ['on' => false] + $state,
            default => $state,
        };

        return $after === $state ? null : new Change(Key::stream(), $kept, $after, 'stream', 'channel');
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept  under Key::stream()
     * @return string what per-stream counts belong to; between two streams they still show the last one's
     */
    public static function period(null|bool|int|string|array $kept): string
    {
        return 'stream '.self::number($kept);
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept  under Key::stream()
     * @return Moment|null when the stream that runs, or the last one, began
     */
    public static function began(null|bool|int|string|array $kept): ?Moment
    {
        return is_array($kept) && is_string($kept['started'] ?? null) ? Moment::fromIso($kept['started']) : null;
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept */
    private static function number(null|bool|int|string|array $kept): int
    {
        return is_array($kept) && is_int($kept['number'] ?? null) ? $kept['number'] : 0;
    }
}
