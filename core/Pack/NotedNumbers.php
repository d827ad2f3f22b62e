<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\View;

/** What numbers were when the stream began: counters of the whole channel, and the counts that the service tells. */
final class NotedNumbers
{
    /** Details of the channel that are numbers. */
    public const DETAILS = ['viewers', 'followers', 'subscribers'];

    public static function ofCounter(Counter $counter): Key
    {
        return Key::noted("counter {$counter->id}");
    }

    public static function ofDetail(string $detail): Key
    {
        return Key::noted("channel $detail");
    }

    /** Where a counter has one number for the channel: its own, or the sum; null where there is none. */
    public static function source(Counter $counter): ?Key
    {
        return match ($counter->scope) {
            CounterScope::Channel => Key::counter($counter->id),
            CounterScope::Category => Key::counter($counter->id, Owner::total()),
            CounterScope::Viewer => null,
        };
    }

    public static function reads(Pack $pack): Reads
    {
        $keys = array_map(self::ofDetail(...), self::DETAILS);
        foreach ($pack->counters as $counter) {
            $source = self::source($counter);
            if ($source !== null) {
                array_push($keys, $source, self::ofCounter($counter));
            }
        }

        return Reads::of(...$keys);
    }

    /**
     * @param  array<string, null|bool|int|string>  $details  of the channel, as the service tells them
     * @param  null|bool|int|string|array<string, mixed>  $stream  as it is kept from now on
     * @return list<Change>
     */
    public static function note(
        Pack $pack,
        array $details,
        View $memory,
        null|bool|int|string|array $stream,
        string $day,
    ): array {
        $changes = [];
        foreach ($pack->counters as $counter) {
            $source = self::source($counter);
            if ($source === null) {
                continue;
            }
            $period = match ($counter->reset) {
                Reset::Never => '',
                Reset::Day => $day,
                Reset::Stream => RunningStream::period($stream),
            };
            $of = $counter->scope === CounterScope::Category ? Counted::fromNought($counter) : $counter;
            $changes[] = self::change(
                self::ofCounter($counter),
                Counted::number($of, $memory->value($source), $period),
                $memory,
            );
        }
        foreach (self::DETAILS as $detail) {
            if (is_int($details[$detail] ?? null)) {
                $changes[] = self::change(self::ofDetail($detail), $details[$detail], $memory);
            }
        }

        return $changes;
    }

    public static function change(Key $key, int $number, View $memory): Change
    {
        return new Change($key, $memory->value($key), $number, 'at_start', 'channel');
    }
}
