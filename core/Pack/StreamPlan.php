<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use DateTimeZone;
use SilverParrot\Value\Moment;

/** The weekly plan of streams, with days off and streams besides; all by the clock of the channel's zone. */
final readonly class StreamPlan
{
    /** ISO 8601 numbers of the days, from 1. */
    public const DAYS = ['mon' => 1, 'tue' => 2, 'wed' => 3, 'thu' => 4, 'fri' => 5, 'sat' => 6, 'sun' => 7];

    /** Streams and days off, each. */
    public const MOST = 400;

    /** Minutes by which clocks are changed somewhere. */
    private const CLOCK_CHANGES = [60, 30];

    /** Days that are looked ahead. */
    private const AHEAD = 400;

    /**
     * @param  list<PlannedStream>  $streams
     * @param  list<string>  $daysOff  when no weekly one takes place: "2026-12-25" for the whole day, "2026-12-25
     *     19:30" for the one that begins then
     */
    public function __construct(public array $streams = [], public array $daysOff = [])
    {
    }

    public function isEmpty(): bool
    {
        return $this->streams === [];
    }

    /** The same plan, in which what is told by the streams of a day is told by the day where that is all of them. */
    public function inShort(): self
    {
        $off = array_fill_keys($this->daysOff, true);
        foreach ($this->daysOff as $one) {
            $day = mb_substr($one, 0, 10);
            $weekday = (int) Moment::fromIso($day)?->in(new DateTimeZone('UTC'))->format('N');
            $all = array_filter(
                $this->streams,
                static fn (PlannedStream $stream): bool => (self::DAYS[$stream->on] ?? 0) === $weekday,
            );
            $left = array_filter(
                $all,
                static fn (PlannedStream $stream): bool => ! isset($off["$day {$stream->at}"]) && ! isset($off[$day]),
            );
            if ($all !== [] && $left === []) {
                $times = array_map(static fn (PlannedStream $stream): string => "$day {$stream->at}", $all);
                $off = array_diff_key($off, array_fill_keys($times, true)) + [$day => true];
            }
        }
        $days = array_map(strval(...), array_keys($off));
        sort($days);

        return new self($this->streams, $days);
    }

    /** @return Moment|null when the next begins; one that begins at this very moment has begun */
    public function next(Moment $now, DateTimeZone $zone): ?Moment
    {
        foreach ($this->from($now, $zone, self::AHEAD) as [$begins]) {
            if ($begins->millis > $now->millis) {
                return $begins;
            }
        }

        return null;
    }

    /**
     * @param  int  $days  from today on
     * @return iterable<array{Moment, PlannedStream}> in their order
     */
    public function from(Moment $now, DateTimeZone $zone, int $days): iterable
    {
        $off = array_fill_keys($this->daysOff, true);
        $today = $now->in($zone)->setTime(12, 0);
        for ($day = 0; $day < $days && $this->streams !== []; $day++) {
            $date = $today->modify("+$day days");
            $streams = [];
            foreach ($this->streams as $stream) {
                [$on, $weekday] = [$date->format('Y-m-d'), (int) $date->format('N')];
                $isOn = $stream->isWeekly()
                    ? (self::DAYS[$stream->on] ?? 0) === $weekday
                        && ! isset($off[$on])
                        && ! isset($off["$on {$stream->at}"])
                    : $stream->on === $on;
                if ($isOn) {
                    $begins = self::begins($on, $stream->at, $zone);
                    $streams = $begins === null ? $streams : [...$streams, [$begins, $stream]];
                }
            }
            usort($streams, static fn (array $a, array $b): int => $a[0]->millis <=> $b[0]->millis);
            yield from $streams;
        }
    }

    /** At a time that the clocks skip it is as much later, at one that comes twice the first of the two: RFC 5545. */
    private static function begins(string $date, string $time, DateTimeZone $zone): ?Moment
    {
        $begins = Moment::fromIso("{$date}T$time", $zone);
        foreach (self::CLOCK_CHANGES as $minutes) {
            $earlier = $begins?->plusMillis(-$minutes * 60_000);
            if ($earlier?->in($zone)->format('Y-m-d H:i') === "$date $time") {
                return $earlier;
            }
        }

        return $begins;
    }
}
