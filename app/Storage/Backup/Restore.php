<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use Closure;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Contracts\Encryption\StringEncrypter;
use Illuminate\Database\Connection;

/**
 * Puts a backup back, whole or not at all. What is put back is paused, its lease's epoch is raised, so that a talker which
 * still speaks for it is fenced off, and what was queued to be said is stale.
 */
final class Restore
{
    /** @var array<string, array<int|string, int|null>> by table: the number in the file => the number here */
    private array $numbers = [];

    /** @var array<string, string> what the person should know, in sentences */
    private array $notes = [];

    public function __construct(private readonly Connection $connection, private readonly StringEncrypter $encrypter)
    {
    }

    /**
     * @param  string|null  $login  to put back one channel and leave the others as they are; null for everything
     * @param  Closure(string, int): void  $progress  table and rows so far
     * @return list<string> what the person should know
     */
    public function from(BackupFile $file, ?string $login, Closure $progress): array
    {
        if ($login === null && $file->channel !== null) {
            throw BackupFailed::ofAChannel($file->channel);
        }
        $this->numbers = $this->notes = [];
        // A slow disk, or somebody who halts the terminal, may keep it waiting longer than a turn may wait.
        $this->connection->unprepared('SET @idle = @@SESSION.idle_transaction_timeout, SESSION idle_transaction_timeout = 0');
        try {
            $this->connection->transaction(fn () => $login === null ? $this->everything($file, $progress) : $this->channel($file, $login, $progress));
        } finally {
            $this->connection->unprepared('SET SESSION idle_transaction_timeout = @idle');
        }

        return array_values($this->notes);
    }

    /** @param  Closure(string, int): void  $progress */
    private function everything(BackupFile $file, Closure $progress): void
    {
        $epoch = $this->highestEpoch();
        // Whoever is signed in would be somebody else afterwards.
        $this->connection->delete('DELETE FROM sessions');
        $this->connection->delete('DELETE FROM stream_grants');
        foreach (array_reverse(Table::all()) as $table) {
            $this->connection->delete("DELETE FROM `{$table->name}`");
        }
        $count = [];
        foreach ($file->rows() as [$name, $row]) {
            $this->insert($name, $this->calmed($name, $row, $epoch));
            $progress($name, $count[$name] = ($count[$name] ?? 0) + 1);
        }
    }

    /** @param  Closure(string, int): void  $progress */
    private function channel(BackupFile $file, string $login, Closure $progress): void
    {
        $tables = Table::ofChannel();
        $epoch = $this->highestEpoch();
        $inFile = null;
        $count = [];
        $emails = $file->channel === null ? $this->emailsIn($file) : [];
        foreach ($file->rows() as [$name, $row]) {
            if ($name === 'channels' && $row['login'] === $login) {
                $inFile = $row['id'];
                $row['id'] = $this->makeRoom($login, (int) $row['id']);
                $this->numbers['channels'][(int) $inFile] = $row['id'];
                $this->insert($name, $this->calmed($name, $row, $epoch));
            } elseif ($inFile !== null && isset($tables[$name]) && $name !== 'channels' && ($row['channel_id'] ?? null) === $inFile) {
                $row = $this->renumbered($tables[$name], $row, $emails);
                if ($row === null) {
                    continue;
                }
                $this->insert($name, $this->calmed($name, $row, $epoch));
            } else {
                continue;
            }
            $progress($name, $count[$name] = ($count[$name] ?? 0) + 1);
        }
        if ($inFile === null) {
            throw BackupFailed::noChannel($login);
        }
    }

    /** The channel's rows go; it keeps its number where it has one here, else takes the one in the file, else a new one. */
    private function makeRoom(string $login, int $wanted): int
    {
        /** @var object{id: int}|null $here */
        $here = $this->connection->selectOne('SELECT id FROM channels WHERE login = ? FOR UPDATE', [$login]);
        if ($here !== null) {
            foreach (array_reverse(Table::ofChannel()) as $table) {
                $this->connection->delete("DELETE FROM `{$table->name}` WHERE `{$table->owner}` = ?", [$here->id]);
            }

            return $here->id;
        }

        return $this->isFree('channels', $wanted) ? $wanted : $this->next('channels');
    }

    /**
     * @param  array<string, null|bool|float|int|string>  $row
     * @param  array<int, string>  $emails  of the people in the file, by their numbers there
     * @return array<string, null|bool|float|int|string>|null null for what belongs to nobody here
     */
    private function renumbered(Table $table, array $row, array $emails): ?array
    {
        $row['channel_id'] = $this->numbers['channels'][(int) $row['channel_id']] ?? null;
        foreach ($table->refers as $column => $to) {
            $row[$column] = $to === 'users' ? $this->user($emails[(int) $row[$column]] ?? $row[$column]) : ($this->numbers[$to][(int) $row[$column]] ?? $row[$column]);
        }
        if ($table->name === 'memberships' && $row['user_id'] === null) {
            $this->notes['people'] = 'Some of its members are unknown here; let them register and add them again.';

            return null;
        }
        if ($table->key === ['id']) {
            $number = (int) $row['id'];
            $row['id'] = $this->isFree($table->name, $number) ? $number : $this->next($table->name);
            $this->numbers[$table->name][$number] = $row['id'];
        }

        return $row;
    }

    /**
     * A row as it may stand in a world that went on: nothing is said by itself, and nobody holds a lease.
     *
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>
     */
    private function calmed(string $table, array $row, int $epoch): array
    {
        if ($table === 'outgoing' && $row['state'] === 'queued') {
            $row['state'] = 'stale';
        }
        if ($table === 'channels') {
            $row = ['paused' => 1, 'lease_epoch' => max($epoch, (int) $row['lease_epoch']) + 1, 'lease_holder' => null, 'lease_until' => null, 'air_state' => 'away', 'air_seen_at' => null] + $row;
            if (is_string($row['chat_secret'] ?? null) && ! $this->isReadable($row['chat_secret'])) {
                $row['chat_secret'] = null;
                $this->notes['secret'] = 'A secret for a chat server was encrypted with the key of another machine; give it anew.';
            }
        }

        return $row;
    }

    /** @param  array<string, null|bool|float|int|string>  $row */
    private function insert(string $table, array $row): void
    {
        $this->connection->table($table)->insert($row);
    }

    private function isFree(string $table, int $number): bool
    {
        return $this->connection->selectOne("SELECT 1 FROM `$table` WHERE id = ?", [$number]) === null;
    }

    /** Beyond every number that is used here; the file's own come later and are looked at one by one. */
    private function next(string $table): int
    {
        /** @var object{highest: int|null} $row */
        $row = $this->connection->selectOne("SELECT MAX(id) AS highest FROM `$table`");

        return ($row->highest ?? 0) + 1;
    }

    private function user(null|bool|float|int|string $email): ?int
    {
        if (! is_string($email)) {
            return null;
        }
        if (! array_key_exists($email, $this->numbers['users'] ?? [])) {
            /** @var object{id: int}|null $row */
            $row = $this->connection->selectOne('SELECT id FROM users WHERE email = ?', [$email]);
            $this->numbers['users'][$email] = $row?->id;
        }

        return $this->numbers['users'][$email];
    }

    /** @return array<int, string> by their numbers in the file */
    private function emailsIn(BackupFile $file): array
    {
        $emails = [];
        foreach ($file->rows() as [$name, $row]) {
            if ($name !== 'users') {
                break;
            }
            $emails[(int) $row['id']] = (string) $row['email'];
        }

        return $emails;
    }

    private function highestEpoch(): int
    {
        /** @var object{highest: int|null} $row */
        $row = $this->connection->selectOne('SELECT MAX(lease_epoch) AS highest FROM channels');

        return $row->highest ?? 0;
    }

    private function isReadable(string $secret): bool
    {
        try {
            $this->encrypter->decryptString($secret);

            return true;
        } catch (DecryptException) {
            return false;
        }
    }
}
