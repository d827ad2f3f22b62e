<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;

/** What was heard and said, kept for a day. Nothing depends on it: it is written four times a second, apart from the turns. */
final readonly class Log
{
    private const COLUMNS = 'channel_id, number, at, kind, event_key, text, person, edition, outcome, memory, readings';

    private const HOURS = 24;

    private const AT_ONCE = 200;

    public function __construct(private Connection $connection)
    {
    }

    /** @param  array<int, HeardLine>  $lines */
    public function keep(int $channel, array $lines): void
    {
        foreach (array_chunk($lines, self::AT_ONCE) as $chunk) {
            $rows = array_map(static fn (HeardLine $line): array => [$channel, ...$line->row()], $chunk);
            $marks = implode(',', array_fill(0, count($rows), '('.implode(',', array_fill(0, count($rows[0]), '?')).')'));
            // A line that waited for the outside comes a second time, with what it found.
            $this->connection->insert(
                'INSERT INTO heard_lines ('.self::COLUMNS.") VALUES $marks ON DUPLICATE KEY UPDATE outcome = VALUES(outcome), memory = VALUES(memory), readings = VALUES(readings)",
                array_merge(...$rows),
            );
        }
    }

    /** @return list<HeardLine> the last ones after a number, oldest first */
    public function last(int $channel, int $most, int $after = 0): array
    {
        return $this->lines('channel_id = ? AND number > ?', [$channel, $after], $most);
    }

    /** @return list<HeardLine> the last ones that people wrote, oldest first */
    public function lastHeard(int $channel, int $most): array
    {
        return $this->lines('channel_id = ? AND kind = ?', [$channel, HeardLine::HEARD], $most);
    }

    public function line(int $channel, int $number): ?HeardLine
    {
        return $this->lines('channel_id = ? AND number = ?', [$channel, $number], 1)[0] ?? null;
    }

    public function forgetOld(int $channel): void
    {
        $this->connection->delete('DELETE FROM heard_lines WHERE channel_id = ? AND at < UTC_TIMESTAMP(3) - INTERVAL '.self::HOURS.' HOUR LIMIT 5000', [$channel]);
    }

    /**
     * @param  list<int|string>  $bindings
     * @return list<HeardLine>
     */
    private function lines(string $where, array $bindings, int $most): array
    {
        /** @var list<object{number: int, at: string, kind: string, event_key: string, text: string, person: string, edition: int, outcome: string, memory: string, readings: string}> $rows */
        $rows = $this->connection->select('SELECT '.self::COLUMNS." FROM heard_lines WHERE $where ORDER BY number DESC LIMIT ".$most, $bindings);

        return array_map(HeardLine::fromRow(...), array_reverse($rows));
    }
}
