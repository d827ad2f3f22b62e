<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use Closure;
use Illuminate\Database\Connection;

/**
 * Writes a channel, or everything, into a file: gzipped lines of JSON, a head, the rows of one table after another as
 * they stood at one moment, and an end that tells how many there were.
 */
final readonly class Backup
{
    public const FORMAT = 'silver-parrot-backup';

    public const VERSION = 2;

    private const AT_ONCE = 500;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param  string|null  $login  of the channel; null for everything
     * @param  Closure(string, int): void  $progress  table and rows so far
     * @param  (Closure(string, string): void)|null  $unreadable  told of a row with text that is none: its table and
     *     key
     * @return int rows
     */
    public function write(string $file, ?string $login, Closure $progress, ?Closure $unreadable = null): int
    {
        $unfinished = "$file.unfinished";
        $out = @gzopen($unfinished, 'wb6');
        if ($out === false) {
            throw BackupFailed::cannotWrite($file);
        }
        try {
            // One moment for all tables, without holding anybody up; a slow disk may keep it waiting.
            $this->connection->unprepared(
                'SET @idle = @@SESSION.idle_transaction_timeout, SESSION idle_transaction_timeout = 0',
            );
            $this->connection->unprepared('SET SESSION TRANSACTION ISOLATION LEVEL REPEATABLE READ');
            $this->connection->unprepared('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
            $rows = $this->lines($login, $progress, static function (array $line) use ($out, $file, $unreadable): void {
                $json = json_encode($line, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
                if ($json === false) {
                    // One row whose text is none must not keep all others from being saved.
                    $json = json_encode(
                        $line,
                        JSON_THROW_ON_ERROR
                            | JSON_UNESCAPED_UNICODE
                            | JSON_UNESCAPED_SLASHES
                            | JSON_INVALID_UTF8_SUBSTITUTE,
                    );
                    $table = is_string($line['in'] ?? null) ? Table::all()[$line['in']] : null;
                    $row = is_array($line['row'] ?? null) ? $line['row'] : [];
                    $unreadable !== null
                        && $unreadable(
                            $table->name ?? '',
                            implode(
                                ' ',
                                array_map(
                                    static fn (string $column): string => is_scalar($row[$column] ?? null)
                                        ? mb_scrub("$column {$row[$column]}")
                                        : '',
                                    $table->key ?? [],
                                ),
                            ),
                        );
                }
                $json .= "\n";
                if (gzwrite($out, $json) !== strlen($json)) {
                    throw BackupFailed::cannotWrite($file);
                }
            });
        } catch (\Throwable $thrown) {
            gzclose($out);
            @unlink($unfinished);
            throw $thrown;
        } finally {
            $this->connection->unprepared('ROLLBACK');
            $this->connection->unprepared('SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED');
            $this->connection->unprepared('SET SESSION idle_transaction_timeout = @idle');
        }
        if (! gzclose($out) || ! chmod($unfinished, 0o600) || ! rename($unfinished, $file)) {
            @unlink($unfinished);
            throw BackupFailed::cannotWrite($file);
        }

        return $rows;
    }

    /**
     * @param  Closure(string, int): void  $progress
     * @param  Closure(array<string, mixed>): void  $line
     */
    private function lines(?string $login, Closure $progress, Closure $line): int
    {
        $channel = $login === null ? null : $this->channel($login);
        $line([
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'made' => gmdate('Y-m-d\TH:i:s\Z'),
            'channel' => $login,
        ]);
        $emails = $this->emails();
        $rows = 0;
        foreach ($channel === null ? Table::all() : Table::ofChannel() as $table) {
            $ofTable = 0;
            foreach ($this->rows($table, $channel) as $row) {
                if ($channel !== null && isset($table->refers['user_id'])) {
                    // People belong to the whole, not to a channel; they are found again by their address.
                    $row['user_id'] = is_int($row['user_id']) ? $emails[$row['user_id']] ?? null : null;
                }
                $line(['in' => $table->name, 'row' => $row]);
                $rows++;
                if (++$ofTable % self::AT_ONCE === 0) {
                    $progress($table->name, $ofTable);
                }
            }
            $progress($table->name, $ofTable);
        }
        $line(['end' => $rows]);

        return $rows;
    }

    /** @return iterable<array<string, mixed>> in the order of the key, so many at a time */
    private function rows(Table $table, ?int $channel): iterable
    {
        $columns = implode(', ', array_map(static fn (string $column): string => "`$column`", $table->key));
        $marks = implode(', ', array_fill(0, count($table->key), '?'));
        $after = null;
        do {
            $where = array_filter([
                $channel === null ? '' : "`{$table->owner}` = ?",
                $after === null ? '' : "($columns) > ($marks)",
            ]);
            $rows = $this->connection->select(
                "SELECT * FROM `{$table->name}`"
                    .($where === [] ? '' : ' WHERE '.implode(' AND ', $where))
                    ." ORDER BY $columns LIMIT "
                    .self::AT_ONCE,
                [...$channel === null ? [] : [$channel], ...$after ?? []],
            );
            foreach ($rows as $row) {
                /** @var array<string, mixed> $row */
                $row = (array) $row;
                $after = array_map(static fn (string $column): mixed => $row[$column], $table->key);
                yield $row;
            }
        } while (count($rows) === self::AT_ONCE);
    }

    private function channel(string $login): int
    {
        /** @var object{id: int}|null $row */
        $row = $this->connection->selectOne('SELECT id FROM channels WHERE login = ?', [$login]);

        return $row->id ?? throw BackupFailed::noChannel($login);
    }

    /** @return array<int, string> by number */
    private function emails(): array
    {
        /** @var list<object{id: int, email: string}> $rows */
        $rows = $this->connection->select('SELECT id, email FROM users');

        return array_column($rows, 'email', 'id');
    }
}
