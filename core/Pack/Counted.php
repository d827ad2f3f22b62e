<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use DateTimeZone;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

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
            is_array($kept)
                && is_int($kept['n'] ?? null)
                && ($counter->reset === Reset::Never || ($kept['of'] ?? null) === $period) => $kept['n'],
            default => $counter->start,
        };
    }

    /** @return int|array{n: int, of: string} */
    public static function kept(Counter $counter, int $number, string $period): int|array
    {
        return $counter->reset === Reset::Never ? $number : ['n' => $number, 'of' => $period];
    }

    /** What must be known before a number is kept. */
    public static function reads(Counter $counter, Owner $owner): Reads
    {
        return Reads::of(...[
            Key::counter($counter->id, $owner),
            ...($counter->scope->hasSum() ? [Key::counter($counter->id, Owner::total())] : []),
            ...($counter->reset === Reset::Stream ? [Key::stream()] : []),
            ...($counter->guard->stands() ? [Key::guarded($counter->id, $owner)] : []),
        ]);
    }

    /** As the sum over all of its numbers is counted: what was never counted adds nothing to it. */
    public static function fromNought(Counter $counter): Counter
    {
        return new Counter($counter->name, reset: $counter->reset, id: $counter->id);
    }

    /**
     * What keeping a number changes: the sum over all of its numbers goes with it.
     *
     * @param  string  $scope  as an author names it: "channel", a category, or a login
     * @param  bool  $isAdded  whether it was added to what there was, and not set
     * @return list<Change>
     */
    public static function changes(
        Counter $counter,
        Owner $owner,
        int $number,
        View $memory,
        string $period,
        string $scope,
        bool $isAdded = false,
    ): array {
        $key = Key::counter($counter->id, $owner);
        $kept = $memory->value($key);
        $before = self::number($counter, $kept, $period);
        $changes = [];
        if ($counter->scope->hasSum()) {
            $fromNought = self::fromNought($counter);
            $total = Key::counter($counter->id, Owner::total());
            $sum =
                self::number($fromNought, $memory->value($total), $period)
                - self::number($fromNought, $kept, $period)
                + $number;
            $changes[] = new Change(
                $total,
                $memory->value($total),
                self::kept($counter, $sum, $period),
                "counter.{$counter->name}.total",
                'channel',
            );
        }

        return [
            ...$changes,
            new Change(
                $key,
                self::kept($counter, $before, $period),
                self::kept($counter, $number, $period),
                "counter.{$counter->name}",
                $scope,
                $isAdded ? $number - $before : null,
            ),
        ];
    }

    /** @return string the stream or day that is counted for; empty where the counter lasts */
    public static function period(Counter $counter, View $memory, Moment $now, DateTimeZone $zone): string
    {
        return match ($counter->reset) {
            Reset::Never => '',
            Reset::Day => $now->in($zone)->format('Y-m-d'),
            Reset::Stream => RunningStream::period($memory->value(Key::stream())),
        };
    }
}
