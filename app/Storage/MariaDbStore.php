<?php

declare(strict_types=1);

namespace App\Storage;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use SilverParrot\Memory\Already;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Fenced;
use SilverParrot\Memory\KnownView;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Turn;
use SilverParrot\Memory\View;

/**
 * Memory that lasts, of one channel. A turn is one transaction: the channel's row is locked first, so there is one writer
 * a channel; the event's key, the changes, their history and the sayings stand or fall together.
 */
final readonly class MariaDbStore implements Store
{
    /** How often a turn is tried again that the database gave up in favour of another. */
    private const TRIES = 4;

    private const DEADLOCK = 1213;

    private const WAITED_TOO_LONG = 1205;

    private const DUPLICATE = 1062;

    /** @param  int|null  $epoch of the lease under which it was opened; null for screens and commands, which the lock alone orders */
    public function __construct(private Connection $connection, private int $channel, private ?int $epoch = null)
    {
    }

    public function snapshot(Reads $reads): View
    {
        return new KnownView($this->values($reads));
    }

    public function turn(string $eventKey, Reads $reads, Closure $hear): Turn|Already|Fenced
    {
        for ($try = 1; ; $try++) {
            try {
                return $this->once($eventKey, $reads, $hear);
            } catch (QueryException $exception) {
                if ($try === self::TRIES || ! in_array(self::code($exception), [self::DEADLOCK, self::WAITED_TOO_LONG], true)) {
                    throw $exception;
                }
            }
        }
    }

    /**
     * @template T of Turn
     *
     * @param  Closure(View): T  $hear
     * @return T|Already|Fenced
     */
    private function once(string $eventKey, Reads $reads, Closure $hear): Turn|Already|Fenced
    {
        $this->connection->beginTransaction();
        try {
            $result = $this->inside($eventKey, $reads, $hear);
            $result instanceof Turn && $result->changesToKeep() !== null ? $this->connection->commit() : $this->connection->rollBack();

            return $result;
        } catch (\Throwable $thrown) {
            // A connection that is lost has rolled back by itself; the first reason is the one worth telling.
            try {
                $this->connection->rollBack();
            } catch (\Throwable) {
            }
            throw $thrown;
        }
    }

    /**
     * @template T of Turn
     *
     * @param  Closure(View): T  $hear
     * @return T|Already|Fenced
     */
    private function inside(string $eventKey, Reads $reads, Closure $hear): Turn|Already|Fenced
    {
        /** @var object{lease_epoch: int}|null $channel */
        $channel = $this->connection->selectOne('SELECT lease_epoch FROM channels WHERE id = ? FOR UPDATE', [$this->channel]);
        if ($channel === null || ($this->epoch !== null && $channel->lease_epoch !== $this->epoch)) {
            return new Fenced($channel->lease_epoch ?? 0);
        }
        try {
            $this->connection->insert('INSERT INTO heard_events (channel_id, event_key, heard_at) VALUES (?, ?, UTC_TIMESTAMP(3))', [$this->channel, $eventKey]);
        } catch (QueryException $exception) {
            return self::code($exception) === self::DUPLICATE ? new Already($eventKey) : throw $exception;
        }
        $turn = $hear(new KnownView($this->values($reads)));
        $changes = $turn->changesToKeep();
        if ($changes !== null) {
            $this->keep($changes, $eventKey);
            $this->queue($turn, $eventKey);
        }

        return $turn;
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> by key id; null for what is not kept */
    private function values(Reads $reads): array
    {
        if ($reads->isEmpty()) {
            return [];
        }
        $ids = array_keys($reads->keys);
        $values = array_fill_keys($ids, null);
        $marks = implode(',', array_fill(0, count($ids), '?'));
        /** @var object{key: string, value: string} $row */
        foreach ($this->connection->select("SELECT `key`, value FROM memory WHERE channel_id = ? AND `key` IN ($marks)", [$this->channel, ...$ids]) as $row) {
            /** @var null|bool|int|string|array<string, mixed> $value */
            $value = json_decode($row->value, true);
            $values[$row->key] = $value;
        }

        return $values;
    }

    /** @param  list<Change>  $changes */
    private function keep(array $changes, string $eventKey): void
    {
        $kept = array_filter($changes, static fn (Change $change): bool => $change->to !== null);
        $gone = array_values(array_filter($changes, static fn (Change $change): bool => $change->to === null));
        if ($kept !== []) {
            $this->insert('memory', ['channel_id', '`key`', 'value'], array_map(fn (Change $change): array => [$this->channel, $change->key->id(), self::json($change->to)], $kept), 'ON DUPLICATE KEY UPDATE value = VALUES(value), updated_at = CURRENT_TIMESTAMP');
        }
        if ($gone !== []) {
            $marks = implode(',', array_fill(0, count($gone), '?'));
            $this->connection->delete("DELETE FROM memory WHERE channel_id = ? AND `key` IN ($marks)", [$this->channel, ...array_map(static fn (Change $change): string => $change->key->id(), $gone)]);
        }
        $authored = array_filter($changes, static fn (Change $change): bool => $change->isAuthored());
        if ($authored !== []) {
            $this->insert('memory_history', ['channel_id', '`key`', '`before`', 'after', 'event_key'], array_map(fn (Change $change): array => [
                $this->channel, $change->key->id(), self::json($change->from), self::json($change->to), $eventKey,
            ], $authored), now: 'at');
        }
    }

    private function queue(Turn $turn, string $eventKey): void
    {
        $rows = [];
        foreach ($turn->sayingsToQueue() as $position => $saying) {
            $rows[] = [$this->channel, $eventKey, $position, $saying->text, $saying->voice->value, $saying->place->value, $saying->answerTo, $saying->to, 'queued'];
        }
        if ($rows !== []) {
            $this->insert('outgoing', ['channel_id', 'event_key', 'position', 'text', 'voice', 'place', 'answer_to', 'to_login', 'state'], $rows, now: 'queued_at');
        }
    }

    /**
     * @param  list<string>  $columns  of our own writing, never people's text
     * @param  array<int, list<int|string>>  $rows
     * @param  string  $now  a column for the moment, by the database's clock: several machines write, and each has its own
     */
    private function insert(string $table, array $columns, array $rows, string $behind = '', string $now = ''): void
    {
        $marks = '('.implode(',', array_fill(0, count($columns), '?')).($now === '' ? ')' : ',UTC_TIMESTAMP(3))');
        $columns = $now === '' ? $columns : [...$columns, $now];
        $this->connection->insert("INSERT INTO $table (".implode(',', $columns).') VALUES '.implode(',', array_fill(0, count($rows), $marks))." $behind", array_merge(...array_values($rows)));
    }

    /** @param  null|bool|int|string|array<string, mixed>  $value */
    private static function json(null|bool|int|string|array $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    private static function code(QueryException $exception): int
    {
        $info = $exception->errorInfo;

        return is_array($info) && is_int($info[1] ?? null) ? $info[1] : 0;
    }
}
