<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;

/** How often each item of a list came up on the air. It is only added to, without a look before. */
final class ListDraws implements Keeps
{
    public function read(Connection $connection, int $channel, array $keys, Viewers $viewers): array
    {
        $wanted = [];
        foreach ($keys as $key) {
            $wanted[implode("\x1E", self::parts($key))] = $key->id();
        }
        $values = [];
        $marks = implode(',', array_fill(0, count($keys), '(?,?)'));
        $asked = array_merge(...array_map(self::parts(...), $keys));
        foreach (
            $connection->select(
                "SELECT list, item, times FROM list_draws WHERE channel_id = ? AND (list, item) IN ($marks)",
                [$channel, ...$asked],
            ) as $row
        ) {
            /** @var object{list: string, item: string, times: int} $row */
            $values[$wanted["{$row->list}\x1E{$row->item}"]] = $row->times;
        }

        return $values;
    }

    public function each(Connection $connection, int $channel, Kind $kind): iterable
    {
        foreach ($connection->table('list_draws')->where('channel_id', $channel)->lazyById(2_000) as $row) {
            /** @var object{list: string, item: string, times: int} $row */
            yield [Key::drawn($row->list, $row->item), $row->times];
        }
    }

    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void
    {
        $connection->insert(
            'INSERT INTO list_draws (channel_id, list, item, times) VALUES '
                .implode(',', array_fill(0, count($changes), '(?,?,?,?)'))
                .' ON DUPLICATE KEY UPDATE times = times + VALUES(times)',
            array_merge(
                ...array_map(
                    static fn (Change $change): array => [$channel, ...self::parts($change->key), $change->added ?? 0],
                    $changes,
                ),
            ),
        );
    }

    /** @return array{string, string} the list’s and the item’s id */
    private static function parts(Key $key): array
    {
        $parts = explode("\x1E", $key->name, 2);

        return [$parts[0], $parts[1] ?? ''];
    }
}
