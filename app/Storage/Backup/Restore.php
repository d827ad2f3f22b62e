<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use App\Storage\SortMemory;
use Closure;
use Illuminate\Contracts\Encryption\StringEncrypter;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;

/**
 * Puts a backup back, whole or not at all. What is put back is paused, its lease's epoch is raised, so that a talker
 * which still speaks for it is fenced off, and what was queued to be said is stale.
 */
final readonly class Restore
{
    public function __construct(private Connection $connection, private StringEncrypter $encrypter)
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
        $calm = new Calm($this->encrypter, $this->highestEpoch());
        // A slow disk, or somebody who halts the terminal, may keep it waiting longer than a turn may wait.
        $this->connection->unprepared(
            'SET @idle = @@SESSION.idle_transaction_timeout, SESSION idle_transaction_timeout = 0',
        );
        try {
            if ($login !== null) {
                return (new RestoreChannel($this->connection, $calm, $progress))->from($file, $login);
            }
            $this->connection->transaction(fn () => $this->everything($file, $calm, $progress));

            return array_values($calm->notes);
        } finally {
            $this->connection->unprepared('SET SESSION idle_transaction_timeout = @idle');
        }
    }

    /** @param  Closure(string, int): void  $progress */
    private function everything(BackupFile $file, Calm $calm, Closure $progress): void
    {
        // Whoever is signed in would be somebody else afterwards, and whoever is invited would come into another
        // channel.
        foreach (['sessions', 'stream_grants', 'sign_in_links', 'invitations'] as $table) {
            $this->connection->delete("DELETE FROM `$table`");
        }
        foreach (array_reverse(Table::all()) as $table) {
            $this->connection->delete("DELETE FROM `{$table->name}`");
        }
        $count = [];
        $columns = [];
        foreach ($file->rows() as [$name, $row, $line]) {
            $wrong = ($columns[$name] ??= Columns::of($this->connection, $name))->wrong($row);
            if ($wrong !== null) {
                throw BackupFailed::malformed($file->name(), $line, $name, $wrong);
            }
            try {
                $this->connection->table($name)->insert($calm->row($name, $row));
            } catch (QueryException) {
                throw BackupFailed::malformed(
                    $file->name(),
                    $line,
                    $name,
                    'a column that refers to another row, or is there twice',
                );
            }
            $progress($name, $count[$name] = ($count[$name] ?? 0) + 1);
        }
        foreach ($this->connection->table('channels')->pluck('id') as $channel) {
            (new SortMemory($this->connection, is_int($channel) ? $channel : 0))->sort();
        }
    }

    private function highestEpoch(): int
    {
        /** @var object{highest: int|null} $row */
        $row = $this->connection->selectOne('SELECT MAX(lease_epoch) AS highest FROM channels');

        return $row->highest ?? 0;
    }
}
