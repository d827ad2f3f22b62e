<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\OwnerKind;

/**
 * Where one kind of thing is remembered: a table of its own, with a row for each definition and owner. A new kind is
 * one class and one line in Shelves. Columns are of our own writing, never people's text.
 */
abstract class Shelf implements Keeps
{
    /** Rows that are held at a time where all are looked at. */
    private const AT_ONCE = 2_000;

    /** @param  array<string, string>  $fixed  columns that are the same in all rows of this kind */
    protected function __construct(
        private readonly string $table,
        private readonly string $named,
        private readonly bool $hasViewers = false,
        private readonly bool $hasCategories = false,
        private readonly array $fixed = [],
    ) {
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $value  never null
     * @return array<string, int|string|null> by column; empty for what cannot be kept here
     */
    abstract protected function encode(null|bool|int|string|array $value): array;

    /**
     * @param  array<string, mixed>  $row
     * @return null|bool|int|string|array<string, mixed>
     */
    abstract protected function decode(array $row): null|bool|int|string|array;

    /**
     * One statement, by the whole of each key.
     *
     * @param  list<Key>  $keys
     * @return array<string, null|bool|int|string|array<string, mixed>> by key id; what is not kept is left out
     */
    public function read(Connection $connection, int $channel, array $keys, Viewers $viewers): array
    {
        $wanted = [];
        $asked = [];
        foreach ($keys as $key) {
            $viewer = $this->viewerOf($key, $viewers);
            if ($viewer !== null) {
                $identity = $this->identity($key, $viewer);
                $wanted[implode("\x1F", $identity)] = $key->id();
                array_push($asked, ...$identity);
            }
        }
        if ($wanted === []) {
            return [];
        }
        $columns = $this->identifying();
        $marks = implode(',', array_fill(0, count($wanted), '('.implode(',', array_fill(0, count($columns), '?')).')'));
        $where = $columns === [] ? '' : ' AND ('.implode(',', $columns).") IN ($marks)";
        $values = [];
        foreach (
            $connection->select("SELECT * FROM {$this->table} WHERE channel_id = "
                ."?$where", [$channel, ...$asked]) as $row
        ) {
            /** @var array<string, mixed> $row */
            $row = (array) $row;
            $identity = implode(
                "\x1F",
                array_map(
                    static fn (string $column): string => is_scalar($value = $row[trim($column, '`')] ?? null)
                        ? (string) $value
                        : '',
                    $columns,
                ),
            );
            if (isset($wanted[$identity])) {
                $values[$wanted[$identity]] = $this->decode($row);
            }
        }

        return $values;
    }

    /** @param  list<Change>  $changes  their viewers are there */
    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void
    {
        $rows = [];
        $gone = [];
        foreach ($changes as $change) {
            $identity =
                ['channel_id' => $channel]
                + array_combine(
                    $this->identifying(),
                    $this->identity($change->key, $this->viewerOf($change->key, $viewers) ?? 0),
                );
            $kept = $change->to === null ? [] : $this->encode($change->to);
            $kept === [] ? $gone[] = $identity : $rows[] = $identity + $kept;
        }
        if ($rows !== []) {
            $columns = array_keys($rows[0]);
            $marks = implode(
                ',',
                array_fill(0, count($rows), '('.implode(',', array_fill(0, count($columns), '?')).')'),
            );
            $put = implode(
                ',',
                array_map(
                    static fn (string $column): string => "$column = VALUES($column)",
                    array_slice($columns, 1 + count($this->identifying())),
                ),
            );
            $connection->insert(
                "INSERT INTO {$this->table} ("
                    .implode(',', $columns)
                    .") VALUES $marks ON DUPLICATE KEY UPDATE $put",
                array_merge(...array_map(array_values(...), $rows)),
            );
        }
        if ($gone !== []) {
            $columns = array_keys($gone[0]);
            $marks = '('.implode(',', array_fill(0, count($columns), '?')).')';
            $connection->delete(
                "DELETE FROM {$this->table} WHERE ("
                    .implode(',', $columns)
                    .') IN ('
                    .implode(',', array_fill(0, count($gone), $marks))
                    .')',
                array_merge(...array_map(array_values(...), $gone)),
            );
        }
    }

    public function each(Connection $connection, int $channel, Kind $kind): iterable
    {
        $fixed = '';
        foreach (array_keys($this->fixed) as $column) {
            $fixed .= " AND t.$column = ?";
        }
        $viewers = $this->hasViewers
            ? ['v.service, v.service_id', 'LEFT JOIN viewers v ON v.id = t.viewer_id AND v.channel_id = t.channel_id']
            : ["'' AS service, '' AS service_id", ''];
        for ($after = 0; ;) {
            $rows = $connection->select(
                "SELECT t.*, $viewers[0] FROM {$this->table} t $viewers[1] WHERE t.channel_id = ? AND t.id > ?$fixed
                 ORDER BY t.id LIMIT "
                    .self::AT_ONCE,
                [$channel, $after, ...array_values($this->fixed)],
            );
            foreach ($rows as $row) {
                /** @var array<string, mixed>&array{id: int} $row */
                $row = (array) $row;
                $after = $row['id'];
                $key = $this->keyOf($row, $kind);
                $value = $key === null ? null : $this->decode($row);
                if ($key !== null && $value !== null) {
                    yield [$key, $value];
                }
            }
            if (count($rows) < self::AT_ONCE) {
                return;
            }
        }
    }

    /** @param  array<string, mixed>  $row  with the service and id of whose it is */
    private function keyOf(array $row, Kind $kind): ?Key
    {
        $text = static fn (string $column): string => is_scalar($row[$column] ?? null) ? (string) $row[$column] : '';
        $person = Viewers::personId($text('service'), $text('service_id'));
        $owner = match (true) {
            $text('owner_kind') === OwnerKind::Total->value => Owner::total(),
            $text('owner_kind') === OwnerKind::Category->value => Owner::category($text('category')),
            $this->hasViewers && $text('viewer_id') !== '0' => $person === '' ? null : Owner::viewer($person),
            default => Owner::channel(),
        };

        return $owner === null
            ? null
            : Key::of($kind->value, $this->named === '' ? '' : $text($this->named), $owner->id);
    }

    /** @param  null|bool|int|string|array<string, mixed>  $value */
    protected static function json(null|bool|int|string|array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** @return null|bool|int|string|array<string, mixed> */
    protected static function fromJson(mixed $json): null|bool|int|string|array
    {
        /** @var null|bool|int|string|array<string, mixed> $value */
        $value = is_string($json) ? json_decode($json, true) : null;

        return $value;
    }

    /**
     * @return int|null the row's number of whoever owns it, 0 for what no viewer does; null for a viewer who has no row
     */
    private function viewerOf(Key $key, Viewers $viewers): ?int
    {
        return $key->owner->kind === OwnerKind::Viewer ? $viewers->numberOf($key->owner->of) : 0;
    }

    /** @return list<string> the columns that tell rows of a channel apart */
    private function identifying(): array
    {
        return [
            ...array_keys($this->fixed),
            ...$this->named === '' ? [] : ["`{$this->named}`"],
            ...$this->hasViewers ? ['viewer_id'] : [],
            ...$this->hasCategories ? ['owner_kind', 'category'] : [],
        ];
    }

    /** @return list<int|string> */
    private function identity(Key $key, int $viewer): array
    {
        return [
            ...array_values($this->fixed),
            ...$this->named === '' ? [] : [$key->name],
            ...$this->hasViewers ? [$viewer] : [],
            ...$this->hasCategories
                ? [$key->owner->kind->value, $key->owner->kind === OwnerKind::Category ? $key->owner->of : '']
                : [],
        ];
    }
}
