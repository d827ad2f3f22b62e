<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PeopleLines;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/** Who was seen, in one turn a second: a kill may lose the last second of it, and nothing else. */
final class Tallies
{
    public static function keep(ChannelOnAir $channel, Store $store): void
    {
        if ($channel->seen === []) {
            return;
        }
        [$seen, $first, $lines, $people] = [$channel->seen, $channel->first, $channel->lines, $channel->peopleLines];
        $channel->peopleLines = 0;
        $channel->seen = [];
        $channel->first = [];
        $channel->lines = [];
        $keys = array_map(static fn (ChatLine $line): Key => Key::seen($line->by->id), array_values($seen));
        $keys[] = Key::peopleLines();
        $now = Moment::of(now());
        $store->turn(EventKey::tally($channel->nextTally()), Reads::of(...$keys), static function (View $memory) use (
            $seen,
            $first,
            $lines,
            $people,
            $now,
        ): Tally {
            $changes = $people === 0 ? [] : [PeopleLines::more($memory, $people, $now)];
            foreach ($seen as $id => $line) {
                $key = Key::seen($line->by->id);
                $kept = $memory->value($key);
                $record = UnwrittenTallies::record($line, $kept, $first[$id] ?? $line->at, $lines[$id] ?? 0);
                $changes[] = new Change($key, $kept, $record, 'person', $line->by->login);
            }

            return new Tally($changes);
        });
    }
}
