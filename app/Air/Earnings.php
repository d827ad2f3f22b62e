<?php

declare(strict_types=1);

namespace App\Air;

use Closure;
use SilverParrot\Actions\EarnPoints;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\RankChanges;
use SilverParrot\Hearing\RankReached;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\EarnedBy;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;

/**
 * Gives what viewers earn, once a minute at most. Each stretch of a rule is an event of its own, so that a talker that
 * ends in the middle of one and another that begins give it once together.
 */
final class Earnings
{
    /** Of those who came to another rank at once, so many are told: a crowd would drown the chat. */
    private const RANKS_TOLD = 3;

    /**
     * @param  Closure(): list<Person>  $here  who is here
     * @param  Closure(RankReached): mixed  $say  for whoever came to another rank by it
     */
    public static function give(
        ChannelOnAir $channel,
        Store $store,
        Moment $now,
        Closure $here,
        Closure $say,
    ): void {
        $isLive = ($channel->keptDetails['live'] ?? null) === true;
        $pack = $channel->pack;
        foreach ($pack->earnings ?? [] as $rule) {
            $points = $pack === null || $rule->by === EarnedBy::Happening ? null : EarnPoints::by($rule, $pack);
            $stretch = EarnPoints::stretch($rule, $now);
            $given = $channel->present->given[$rule->id] ?? null;
            $channel->present->given[$rule->id] = $stretch;
            // Of the stretch in which the channel was taken, another talker has seen the beginning.
            if ($points === null || $given === null || $given >= $stretch) {
                continue;
            }
            [$people, $times] = $points->isForLines()
                ? $channel->present->wroteIn($rule, $stretch - 1)
                : [$here(), []];
            $earners = $points->earners($people, $pack, $isLive);
            self::turn($store, $pack, $points, $earners, $times, "earn {$rule->id} $stretch", $now, $say);
        }
    }

    /**
     * What one earns by something that happens, once for each time that it does.
     *
     * @param  string  $kind  as rules name it
     * @param  string  $key  the happening's own
     * @param  Closure(RankReached): mixed  $say
     */
    public static function happened(
        ChannelOnAir $channel,
        Store $store,
        string $kind,
        string $key,
        Person $by,
        Moment $now,
        Closure $say,
    ): void {
        $pack = $channel->pack;
        foreach ($pack->earnings ?? [] as $rule) {
            $isIt = $pack !== null && EarnPoints::isForHappening($rule, $kind);
            $points = $isIt ? EarnPoints::by($rule, $pack) : null;
            if ($pack !== null && $points !== null) {
                $earners = $points->earners([$by], $pack, ($channel->keptDetails['live'] ?? null) === true);
                self::turn($store, $pack, $points, $earners, [], "earn {$rule->id} $key", $now, $say);
            }
        }
    }

    /**
     * @param  list<Person>  $earners
     * @param  array<string, int>  $times  how often each earns
     * @param  Closure(RankReached): mixed  $say
     */
    private static function turn(
        Store $store,
        Pack $pack,
        EarnPoints $points,
        array $earners,
        array $times,
        string $event,
        Moment $now,
        Closure $say,
    ): void {
        if ($earners === []) {
            return;
        }
        $ranks = [];
        $turn = $store->turn(
            EventKey::event($event),
            $points->reads($earners, $pack),
            static function (View $memory) use ($points, $earners, $times, $pack, &$ranks): Tally {
                $changes = $points->changes($earners, $times, $memory);
                $ranks = RankChanges::in($changes, $pack)->told($memory, self::byId($earners));

                return new Tally($changes);
            },
        );
        foreach ($turn instanceof Tally ? array_slice($ranks, 0, self::RANKS_TOLD) : [] as $rank) {
            $say(new RankReached($rank, $event, $now));
        }
    }

    /**
     * @param  list<Person>  $people
     * @return array<string, Person>
     */
    private static function byId(array $people): array
    {
        return array_combine(array_map(static fn (Person $one): string => "#{$one->id}", $people), $people);
    }
}
