<?php

declare(strict_types=1);

namespace App\Air;

use Closure;
use SilverParrot\Hearing\Timers\TimerClock;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/**
 * Looks at the timers of a channel, each second in which one may be due. Since when each waits is remembered, so that a
 * talker that ends and another that begins change nothing; whether it speaks is decided once more under the channel's
 * lock.
 */
final class Timers
{
    /** Milliseconds within which it is seen that a stream began, or that another talker said something. */
    private const LONGEST_QUIET = 5_000;

    /** @param  Closure(TimerDue): mixed  $say */
    public static function look(ChannelOnAir $channel, Store $store, Moment $now, Closure $say): void
    {
        $pack = $channel->pack;
        if ($pack === null || $pack->timers === [] || $channel->paused) {
            return;
        }
        if ($now->millis < $channel->timersQuietUntil && $channel->timersOf === $pack) {
            return;
        }
        $clocks = array_map(static fn ($timer): TimerClock => new TimerClock($timer), $pack->timers);
        $reads = Reads::of(
            ...array_merge([], ...array_map(static fn (TimerClock $clock): array => $clock->reads($pack), $clocks)),
        );
        // Lines of the last second count, though they are not written yet.
        $look = static fn (): View => $channel->unwrittenTallies()->over($store->snapshot($reads));
        $memory = $look();
        $quiet = $now->millis + self::LONGEST_QUIET;
        $isLive = is_bool($channel->keptDetails['live'] ?? null) ? $channel->keptDetails['live'] : null;
        foreach ($clocks as $place => $clock) {
            if ($clock->begins($memory, $now) !== null) {
                self::begin($clock, $store, Reads::of(...$clock->reads($pack)), $now);
                $quiet = $now->millis;

                continue;
            }
            $stand = $clock->look($memory, $pack, $now, $isLive);
            $quiet = min($quiet, $stand->due->millis ?? $quiet);
            if ($stand->isDue) {
                $say(new TimerDue($pack->timers[$place], $stand->times, $now));
                // What was said just now holds back the next.
                $memory = $look();
            }
        }
        [$channel->timersQuietUntil, $channel->timersOf] = [$quiet, $pack];
    }

    private static function begin(TimerClock $clock, Store $store, Reads $reads, Moment $now): void
    {
        $store->turn(EventKey::none(), $reads, static function (View $memory) use ($clock, $now): Tally {
            $begins = $clock->begins($memory, $now);

            return new Tally($begins === null ? [] : [$begins]);
        });
    }
}
