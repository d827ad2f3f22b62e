<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use App\Storage\SortMemory;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;

/**
 * Puts one channel back, whole or not at all. Its rows are looked at and laid out beside the real tables first; only
 * then the channel is taken off the air, and the rows change places under its lock alone. Other channels' rows are not
 * touched.
 */
final class RestoreChannel
{
    private const AT_ONCE = 200;

    private Numbers $numbers;

    private int $channel = 0;

    /** @var array<string, string> what the person should know, in sentences */
    private array $notes = [];

    /** @var array<string, int> rows so far, by table */
    private array $count = [];

    /** @param  Closure(string, int): void  $progress  table and rows so far */
    public function __construct(
        private readonly Connection $connection,
        private readonly Calm $calm,
        private readonly Closure $progress,
    ) {
    }

    /** @return list<string> what the person should know */
    public function from(BackupFile $file, string $login): array
    {
        $inFile = $this->find($file, $login);
        foreach (Table::ofChannel() as $table) {
            $this->connection->unprepared(
                "CREATE OR REPLACE TEMPORARY TABLE `beside_{$table->name}` LIKE `{$table->name}`",
            );
        }
        try {
            $this->layOut($file, $login, $inFile);
            $wasOnAir = $this->takeOffTheAir();
            try {
                $this->connection->transaction($this->changePlaces(...));
            } catch (QueryException $failed) {
                if ($wasOnAir !== []) {
                    $this->connection->table('channels')->where('id', $this->channel)->update($wasOnAir);
                }
                throw BackupFailed::inTheWay($login, $failed);
            }
        } finally {
            foreach (Table::ofChannel() as $table) {
                $this->connection->unprepared("DROP TEMPORARY TABLE IF EXISTS `beside_{$table->name}`");
            }
        }

        return array_values([...$this->notes, ...$this->calm->notes]);
    }

    /** @return int the channel's number in the file */
    private function find(BackupFile $file, string $login): int
    {
        foreach ($file->rows() as [$name, $row]) {
            if ($name === 'channels' && ($row['login'] ?? null) === $login && is_int($row['id'] ?? null)) {
                /** @var object{id: int}|null $here */
                $here = $this->connection->selectOne('SELECT id FROM channels WHERE login = ?', [$login]);
                $this->channel = $here->id ?? $this->freeNumber($row['id']);
                $this->numbers = new Numbers($this->connection, $this->channel);

                return $row['id'];
            }
        }
        throw BackupFailed::noChannel($login);
    }

    private function freeNumber(int $wanted): int
    {
        /** @var object{highest: int|null} $row */
        $row = $this->connection->selectOne('SELECT MAX(id) AS highest FROM channels');

        return $this->connection->selectOne('SELECT 1 FROM channels WHERE id = ?', [$wanted]) === null
            ? $wanted
            : ($row->highest ?? 0) + 1;
    }

    private function layOut(BackupFile $file, string $login, int $inFile): void
    {
        $tables = Table::ofChannel();
        $people = new People($this->connection);
        $columns = [];
        $group = [];
        foreach ($file->rows() as [$name, $row, $line]) {
            if ($name === 'users') {
                $people->inFile($row);
            }
            $owner = isset($tables[$name]) ? $row[$tables[$name]->owner] ?? null : null;
            if ($owner !== $inFile) {
                if ($file->channel !== null) {
                    throw BackupFailed::foreignRow($file->name(), $line, $name);
                }

                continue;
            }
            $wrong = ($columns[$name] ??= Columns::of($this->connection, $name))->wrong(
                $people->numbered($tables[$name], $row),
            );
            if ($wrong !== null) {
                throw BackupFailed::malformed($file->name(), $line, $name, $wrong);
            }
            if ($group !== [] && ($group[0][0] !== $name || count($group) === self::AT_ONCE)) {
                $this->lay($tables[$group[0][0]], $group, $people, $file->name());
                $group = [];
            }
            $group[] = [$name, $row, $line];
        }
        if ($group !== []) {
            $this->lay($tables[$group[0][0]], $group, $people, $file->name());
        }
    }

    /**
     * @param  non-empty-list<array{string, array<string, null|bool|float|int|string>, int}>  $group  rows of one table
     */
    private function lay(Table $table, array $group, People $people, string $file): void
    {
        if ($table->key === ['id'] && $table->name !== 'channels') {
            $this->numbers->take($table, array_map(static fn (array $one): int => (int) $one[1]['id'], $group));
        }
        $rows = [];
        foreach ($group as [, $row, $line]) {
            $row = $this->here($table, $row, $line, $people, $file);
            if ($row !== null) {
                $rows[$line] = $this->calm->row($table->name, $row);
            }
        }
        $this->insert($table, $rows, $file);
        $this->count[$table->name] = ($this->count[$table->name] ?? 0) + count($group);
        ($this->progress)($table->name, $this->count[$table->name]);
    }

    /** @param  array<int, array<string, null|bool|float|int|string>>  $rows  by line in the file */
    private function insert(Table $table, array $rows, string $file): void
    {
        if ($rows === []) {
            return;
        }
        try {
            $this->connection->table("beside_{$table->name}")->insert(array_values($rows));
        } catch (QueryException $failed) {
            if (count($rows) > 1) {
                // One by one, to tell which.
                foreach ($rows as $line => $row) {
                    $this->insert($table, [$line => $row], $file);
                }
            }
            throw BackupFailed::malformed($file, (int) array_key_first($rows), $table->name, self::columnIn($failed));
        }
    }

    /**
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>|null as it stands here; null for what belongs to nobody here
     */
    private function here(Table $table, array $row, int $line, People $people, string $file): ?array
    {
        $row[$table->owner] = $this->channel;
        foreach ($table->refers as $column => $to) {
            $row[$column] = match (true) {
                // 0 stands for nobody.
                ($row[$column] ?? 0) === 0 && $to === 'viewers' => 0,
                $to === 'users' => $people->here($row[$column] ?? null),
                ! is_int($row[$column] ?? null) => null,
                // What an old change was of may be gone; only that it was the same thing matters.
                in_array($column, $table->gone, true) => $this->numbers->ofGone($to, $row[$column]),
                default => $this->numbers->of($to, $row[$column])
                    ?? throw BackupFailed::unknownReference($file, $line, $table->name, $column),
            };
        }
        if ($table->name === 'memberships' && $row['user_id'] === null) {
            $this->notes['people'] = 'Some of its members are unknown here; invite them again.';

            return null;
        }
        if ($table->key === ['id'] && $table->name !== 'channels') {
            $row['id'] = $this->numbers->of($table->name, (int) $row['id']);
        }

        return $row;
    }

    /**
     * The talker leaves the channel by itself before its rows change places, so it never waits for them.
     *
     * @return array{edition_on_air?: int|null, paused?: int} how it stood until now; empty where it was not here
     */
    private function takeOffTheAir(): array
    {
        /** @var array{edition_on_air?: int|null, paused?: int} $before */
        $before = (array) $this->connection->selectOne('SELECT edition_on_air, paused FROM channels WHERE id = ?', [
            $this->channel,
        ]);
        $this->connection->update(
            'UPDATE channels SET lease_epoch = lease_epoch + 1, lease_holder = NULL, lease_until = NULL, '
                .'edition_on_air = NULL, paused = 1 WHERE id = ?',
            [$this->channel],
        );

        return $before;
    }

    private function changePlaces(): void
    {
        $this->connection->selectOne('SELECT id FROM channels WHERE id = ? FOR UPDATE', [$this->channel]);
        foreach (array_reverse(Table::ofChannel()) as $table) {
            if ($table->name !== 'channels') {
                $this->connection->delete("DELETE FROM `{$table->name}` WHERE `{$table->owner}` = ?", [$this->channel]);
            }
        }
        foreach (Table::ofChannel() as $table) {
            if ($table->name === 'channels') {
                // The row stays where it is one's own: invitations and what is put in while this goes on hang on it.
                $set = [];
                /** @var object{name: string} $column */
                foreach (
                    $this->connection->select(
                        'SELECT column_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() '
                            ."AND table_name = 'channels' AND column_name <> 'id'",
                    ) as $column
                ) {
                    $set[] = "channels.`{$column->name}` = VALUES(`{$column->name}`)";
                }
                $this->connection->statement(
                    'INSERT INTO channels SELECT * FROM beside_channels ON DUPLICATE KEY UPDATE '.implode(', ', $set),
                );
            } else {
                $this->connection->statement("INSERT INTO `{$table->name}` SELECT * FROM `beside_{$table->name}`");
            }
        }
        (new SortMemory($this->connection, $this->channel))->sort();
    }

    private static function columnIn(QueryException $failed): string
    {
        return preg_match(
            "/column (?:`[^`]+`\.)*[`']([A-Za-z_]+)[`']/",
            $failed->getPrevious()?->getMessage() ?? '',
            $found,
        ) === 1
            ? $found[1]
            : 'a column';
    }
}
