<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** How long viewers are here while the stream is live, by the minute. A minute in which talkers change may be lost. */
final readonly class TimeHere
{
    public function __construct(private Connection $connection)
    {
    }

    /** Behind the look at who is here, which has noted those on the chat’s own list. */
    public function count(ChannelOnAir $channel, Moment $now): void
    {
        $minute = intdiv($now->millis, 60_000);
        if ($channel->present->countedMinute === $minute || ($channel->keptDetails['live'] ?? null) !== true) {
            return;
        }
        $isNew = $channel->present->countedMinute === null;
        $channel->present->countedMinute = $minute;
        // Another talker may have counted the minute in which this one took over.
        if ($isNew) {
            return;
        }
        $at = static fn (int $seconds): string => gmdate('Y-m-d H:i:s', intdiv($now->millis, 1_000) - $seconds);
        [$column, $since] = $channel->listed() === null
            ? ['last_seen', $at(Person::HERE_SECONDS)]
            : ['last_here', $at(WhoIsHere::SECONDS)];
        $this->connection->update(
            "UPDATE viewers v JOIN channels c ON c.id = v.channel_id SET v.minutes_here = v.minutes_here + 1
             WHERE v.channel_id = ? AND c.lease_epoch = ? AND v.service <> '' AND v.$column > ?",
            [$channel->id, $channel->epoch, $since],
        );
    }
}
