<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Channel;
use App\Models\MemoryRow;
use SilverParrot\Memory\Kind;
use SilverParrot\Rehearsal\Situation;

/** A copy of what a channel remembers, for a rehearsal. */
final class MemoryRows
{
    public function copy(Channel $channel): Situation
    {
        $values = [];
        // A rehearsal begins with all gates open: what people of the real chat just used would close them for no reason seen.
        $others = [Kind::LastRun, Kind::RecentAnswers];
        $rows = $channel->memory();
        foreach ($others as $kind) {
            $rows->where('key', 'not like', $kind->value."\x1F%");
        }
        foreach ($rows->get() as $row) {
            /** @var MemoryRow $row */
            $values[$row->key] = $row->value;
        }

        return new Situation($values, $channel->details);
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
