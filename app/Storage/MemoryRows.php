<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Channel;
use App\Models\MemoryRow;
use SilverParrot\Rehearsal\Situation;

/** What a channel remembers, as a rehearsal begins with it. */
final class MemoryRows
{
    /** Nothing is copied beforehand: what a line looks at is read when it does, however many viewers the channel remembers. */
    public function copy(Channel $channel): Situation
    {
        $connection = $channel->getConnection();

        return new Situation([], $channel->details, rest: new ReadOnce(new MariaDbStore($connection, $channel->id)), standings: new MariaDbStandings($connection, $channel->id));
    }

    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $values by key id */
    public function fill(Channel $channel, array $values): void
    {
        foreach (array_chunk($values, 500, true) as $chunk) {
            MemoryRow::query()->insert(array_map(
                static fn (string $key, null|bool|int|string|array $value): array => ['channel_id' => $channel->id, 'key' => $key, 'value' => json_encode($value, JSON_THROW_ON_ERROR)],
                array_keys($chunk),
                $chunk,
            ));
        }
    }
}
