<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use Brick\Math\RoundingMode;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Reading;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\View;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;

/**
 * What numbers were when the stream began: counters of the whole channel, the counts that the service tells, and
 * readings of look-ups.
 */
final class NotedNumbers
{
    /** Details of the channel that are numbers. */
    public const DETAILS = ['viewers', 'followers', 'subscribers'];

    /** Characters of a reading as it was noted: a sign, 11 digits, a point and 4 decimals. */
    public const LONGEST = 17;

    /** Parts of a whole in which readings are kept, since they may have decimals. */
    private const PARTS = 10_000;

    public static function ofCounter(Counter $counter): Key
    {
        return Key::noted("counter {$counter->id}");
    }

    public static function ofDetail(string $detail): Key
    {
        return Key::noted("channel $detail");
    }

    /** A reading, in ten-thousandths. */
    public static function ofReading(Lookup $lookup, string $reading): Key
    {
        // A name may grow where it is folded, and a key is bounded.
        $name = Fold::caseless($reading);

        return Key::noted("reading {$lookup->id} ".(mb_strlen($name) > 60 ? hash('xxh64', $name) : $name));
    }

    /** @return int|null in ten-thousandths; null for more than is kept */
    public static function kept(int|Number $number): ?int
    {
        $parts = Number::exactOf($number)->multipliedBy(self::PARTS)->toScale(0, RoundingMode::HALF_UP);

        return $parts->abs()->isLessThanOrEqualTo(Limits::COUNTER) ? $parts->toInt() : null;
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept */
    public static function fromKept(null|bool|int|string|array $kept): int|Number|null
    {
        $number = is_int($kept) ? Number::quotient($kept, self::PARTS) : null;

        return $number instanceof Gap ? null : $number;
    }

    /** @return iterable<array{Lookup, Reading}> all that are noted */
    public static function readings(Pack $pack): iterable
    {
        foreach ($pack->lookups as $lookup) {
            foreach ($lookup->readings as $reading) {
                if ($reading->isNoted) {
                    yield [$lookup, $reading];
                }
            }
        }
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

        foreach (self::readings($pack) as [$lookup, $reading]) {
            $keys[] = self::ofReading($lookup, $reading->name);
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
        // What a source says is asked for next, and may not come: what it said of another stream counts for nothing.
        foreach (self::readings($pack) as [$lookup, $reading]) {
            $key = self::ofReading($lookup, $reading->name);
            if ($memory->value($key) !== null) {
                $changes[] = new Change($key, $memory->value($key), null, 'at_start', 'channel');
            }
        }

        return $changes;
    }

    public static function change(Key $key, int $number, View $memory): Change
    {
        return new Change($key, $memory->value($key), $number, 'at_start', 'channel');
    }
}
