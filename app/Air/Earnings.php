<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Actions\EarnPoints;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/**
 * Gives what viewers earn, once a minute at most. Each stretch of a rule is an event of its own, so that a talker that
 * ends in the middle of one and another that begins give it once together.
 */
final class Earnings
{
    public static function give(ChannelOnAir $channel, Store $store, Moment $now): void
    {
        $isLive = ($channel->keptDetails['live'] ?? null) === true;
        $pack = $channel->pack;
        foreach ($pack->earnings ?? [] as $rule) {
            $points = $pack === null ? null : EarnPoints::by($rule, $pack);
            $stretch = EarnPoints::stretch($rule, $now);
            $given = $channel->present->given[$rule->id] ?? null;
            $channel->present->given[$rule->id] = $stretch;
            // Of the stretch in which the channel was taken, another talker has seen the beginning.
            if ($points === null || $given === null || $given >= $stretch) {
                continue;
            }
            [$people, $times] = $points->isForLines()
                ? $channel->present->wroteIn($rule, $stretch - 1)
                : [$channel->present->here($now), []];
            $earners = $points->earners($people, $pack, $isLive);
            if ($earners !== []) {
                $store->turn(
                    EventKey::event("earn {$rule->id} $stretch"),
                    $points->reads($earners),
                    static fn (View $memory): Tally => new Tally($points->changes($earners, $times, $memory)),
                );
            }
        }
    }
}
