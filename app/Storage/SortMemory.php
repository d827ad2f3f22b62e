<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;

/**
 * Memory as it was kept before each kind had a table: one row for each key. It is put where it belongs; nothing is
 * lost.
 */
final readonly class SortMemory
{
    private const AT_ONCE = 500;

    public function __construct(private Connection $connection, private int $channel)
    {
    }

    public function sort(): void
    {
        $kept = new ByKind($this->connection, $this->channel);
        // People first, so that what is theirs finds their logins.
        $logins = $this->people($kept);
        while (($rows = $this->rows('')) !== []) {
            $changes = [];
            foreach ($rows as $id => $value) {
                $key = Key::fromId((string) $id);
                if ($key !== null && $value !== null) {
                    $changes[] = new Change($key, null, $value, '', '');
                }
            }
            $kept->keep($changes, $logins);
            $this->forget($rows);
        }
        $this->history($kept->viewers, $logins);
    }

    /** @return array<array-key, string> logins by person id */
    private function people(ByKind $kept): array
    {
        $logins = [];
        while (($rows = $this->rows(Kind::Person->value."\x1F")) !== []) {
            $changes = [];
            foreach ($rows as $record) {
                if (is_array($record) && is_string($record['id'] ?? null) && is_string($record['login'] ?? null)) {
                    $logins[$record['id']] = $record['login'];
                    $changes[] = new Change(Key::seen($record['id']), null, $record, '', $record['login']);
                }
            }
            $kept->keep($changes, $logins);
            $this->forget($rows);
        }

        return $logins;
    }

    /** @return array<array-key, null|bool|int|string|array<string, mixed>> some that are still there, by key id */
    private function rows(string $begins): array
    {
        $values = [];
        foreach (
            $this->connection
                ->table('memory')
                ->where('channel_id', $this->channel)
                ->where('key', 'like', addcslashes($begins, '%_\\').'%')
                ->orderBy('key')
                ->limit(self::AT_ONCE)
                ->pluck('value', 'key') as $id => $json
        ) {
            /** @var null|bool|int|string|array<string, mixed> $value */
            $value = is_string($json) ? json_decode($json, true) : null;
            $values[$id] = $value;
        }

        return $values;
    }

    /** @param  array<array-key, string>  $logins */
    private function history(Viewers $viewers, array $logins): void
    {
        foreach (
            $this->connection
                ->table('memory_history')
                ->where('channel_id', $this->channel)
                ->where('viewer_id', 0)
                ->where('owner', 'like', 'viewer:%')
                ->lazyById(self::AT_ONCE) as $row
        ) {
            /** @var object{id: int, owner: string} $row */
            $person = Owner::fromId($row->owner)->of ?? '';
            $viewers->make($this->connection, [$person => $logins[$person] ?? Viewers::parts($person)[1]]);
            $this->connection
                ->table('memory_history')
                ->where('id', $row->id)
                ->update(['viewer_id' => $viewers->numberOf($person) ?? 0]);
        }
        // Who brought it about, as far as the log of then tells.
        foreach (
            $this->connection
                ->table('memory_history')
                ->where('channel_id', $this->channel)
                ->where('by_viewer_id', 0)
                ->whereNull('user_id')
                ->where('event_key', '!=', '')
                ->lazyById(self::AT_ONCE) as $row
        ) {
            /** @var object{id: int, event_key: string} $row */
            /** @var object{person: string|null}|null $heard */
            $heard = $this->connection->selectOne(
                "SELECT JSON_VALUE(person, '$.id') AS person FROM heard_lines WHERE channel_id = ? AND event_key = ? "
                    ."AND kind = 'heard' LIMIT 1",
                [$this->channel, $row->event_key],
            );
            $viewers->find($this->connection, array_filter([$heard->person ?? '']));
            $number = $viewers->numberOf($heard->person ?? '');
            if ($number !== null) {
                $this->connection->table('memory_history')->where('id', $row->id)->update(['by_viewer_id' => $number]);
            }
        }
    }

    /** @param  array<array-key, null|bool|int|string|array<string, mixed>>  $rows  by key id */
    private function forget(array $rows): void
    {
        $this->connection
            ->table('memory')
            ->where('channel_id', $this->channel)
            ->whereIn('key', array_map(strval(...), array_keys($rows)))
            ->delete();
    }
}
