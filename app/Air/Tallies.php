<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;

/** Who was seen, in one turn a second: a kill may lose the last second of it, and nothing else. */
final class Tallies
{
    public static function keep(ChannelOnAir $channel, Store $store): void
    {
        if ($channel->seen === []) {
            return;
        }
        [$seen, $first, $lines] = [$channel->seen, $channel->first, $channel->lines];
        $channel->seen = [];
        $channel->first = [];
        $channel->lines = [];
        $keys = array_map(static fn (string $login): Key => Key::person($login), array_map(strval(...), array_keys($seen)));
        $store->turn("tally {$channel->epoch} ".++$channel->tallies, Reads::of(...$keys), static function (View $memory) use ($seen, $first, $lines): Tally {
            $changes = [];
            foreach ($seen as $login => $line) {
                $key = Key::person((string) $login);
                $kept = $memory->value($key);
                $before = is_array($kept) && is_int($kept['lines'] ?? null) ? $kept['lines'] : 0;
                $record = [
                    ...$line->by->record(),
                    'first_seen' => is_array($kept) && is_string($kept['first_seen'] ?? null) ? $kept['first_seen'] : ($first[$login] ?? $line->at)->iso(), 'last_seen' => $line->at->iso(), 'lines' => $before + ($lines[$login] ?? 0),
                ];
                $changes[] = new Change($key, $kept, $record, 'person', $line->by->login);
            }

            return new Tally($changes);
        });
    }
}
