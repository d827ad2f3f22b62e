<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\OwnerKind;

/**
 * Where one kind of thing is remembered: a table of its own, with a row for each definition and owner. A new kind is
 * one class and one line in Shelves. Columns are of our own writing, never people's text.
 */
abstract class Shelf implements Keeps
{
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
