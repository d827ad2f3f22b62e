<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connection;
use SilverParrot\Source\Fold;

/**
 * What was heard and said, kept for as long as the channel says. Nothing depends on it: it is written four times a
 * second, apart from the turns.
 */
final readonly class Log
{
    private const COLUMNS = 'channel_id, number, at, kind, event_key, text, findable, person, edition, outcome, '
        .'silence, memory, readings';

    private const AT_ONCE = 200;

    /** Lines among which those without an answer are sought: where all were answered, nobody looks through a month. */
    private const LOOKED_AT = 20_000;

    public function __construct(private Connection $connection)
    {
    }

    /** @param  array<int, LogEntry>  $lines */
    public function keep(int $channel, array $lines): void
    {
        foreach (array_chunk($lines, self::AT_ONCE) as $chunk) {
            $rows = array_map(static fn (LogEntry $line): array => [$channel, ...$line->row()], $chunk);
            $marks = implode(
                ',',
                array_fill(0, count($rows), '('.implode(',', array_fill(0, count($rows[0]), '?')).')'),
            );
            // A line that waited for the outside comes a second time, with what it found.
            $this->connection->insert(
                'INSERT INTO heard_lines ('
                    .self::COLUMNS
                    .") VALUES $marks ON DUPLICATE KEY UPDATE outcome = VALUES(outcome), silence = VALUES(silence), "
                    .'memory = VALUES(memory), readings = VALUES(readings)',
                array_merge(...$rows),
            );
        }
    }

    /** @return list<LogEntry> the last ones after a number, oldest first */
    public function last(int $channel, int $most, int $after = 0): array
    {
        return $this->lines('channel_id = ? AND number > ?', [$channel, $after], $most);
    }

    /** @return list<LogEntry> the last ones before a number, oldest first */
    public function before(int $channel, int $number, int $most): array
    {
        return $this->lines('channel_id = ? AND number < ?', [$channel, $number], $most);
    }

    /**
     * @return list<LogEntry> the last ones that people wrote to the parrot, and to which nothing was said in the chat,
     *     oldest first. What begins with a sign, as triggers do, was meant for it
     */
    public function unanswered(int $channel, int $most): array
    {
        $lookedAt = self::LOOKED_AT;

        return $this->lines(
            "channel_id = ? AND number > (SELECT MAX(number) - $lookedAt FROM heard_lines AS newest "
                ."WHERE newest.channel_id = ?) AND kind = ? AND (outcome <> '' "
                ."OR text REGEXP '^[^[:alnum:][:space:]]') AND NOT EXISTS (SELECT 1 FROM outgoing "
                .'WHERE outgoing.channel_id = heard_lines.channel_id '
                ."AND outgoing.event_key = heard_lines.event_key AND outgoing.state = 'handed') AND NOT EXISTS "
                // What came of something that the line brought about is said under the line's key and the step's.
                .'(SELECT 1 FROM outgoing WHERE outgoing.channel_id = heard_lines.channel_id AND outgoing.event_key '
                ."BETWEEN CONCAT(heard_lines.event_key, '+') AND CONCAT(heard_lines.event_key, '+~') "
                ."AND outgoing.state = 'handed')",
            [$channel, $channel, LogEntry::HEARD],
            $most,
        );
    }

    /** @return list<LogEntry> the last ones that people wrote, oldest first */
    public function lastHeard(int $channel, int $most): array
    {
        return $this->lines('channel_id = ? AND kind = ?', [$channel, LogEntry::HEARD], $most);
    }

    /** @return list<LogEntry> those before a number, oldest first */
    public function heardBefore(int $channel, int $number, int $most): array
    {
        return $this->lines(
            'channel_id = ? AND kind = ? AND number < ?',
            [$channel, LogEntry::HEARD, $number],
            $most,
        );
    }

    public function line(int $channel, int $number): ?LogEntry
    {
        return $this->lines('channel_id = ? AND number = ?', [$channel, $number], 1)[0] ?? null;
    }

    /**
     * @return list<LogEntry> the last ones with all of these words in their text or in the name of who wrote them,
     *     oldest first
     */
    public function find(int $channel, string $words, int $most): array
    {
        $where = 'channel_id = ?';
        $bindings = [$channel];
        foreach (
            array_slice(
                preg_split('/\s+/u', Fold::caseless(mb_substr($words, 0, 200)), flags: PREG_SPLIT_NO_EMPTY) ?: [],
                0,
                10,
            ) as $word
        ) {
            $where .= ' AND findable LIKE ?';
            // The text is a value, and its own % and _ are no wildcards.
            $bindings[] = '%'.addcslashes($word, '%_\\').'%';
        }

        return $this->lines($where, $bindings, $most);
    }

    /**
     * @param  list<int|string>  $bindings
     * @return list<LogEntry>
     */
    private function lines(string $where, array $bindings, int $most): array
    {
        /**
         * @var list<object{number: int, at: string, kind: string, event_key: string, text: string, person: string,
         *     edition: int, outcome: string, silence: string, memory: string, readings: string}> $rows
         */
        $rows = $this->connection->select(
            'SELECT '.self::COLUMNS." FROM heard_lines WHERE $where ORDER BY number DESC LIMIT ".$most,
            $bindings,
        );

        return array_map(LogEntry::fromRow(...), array_reverse($rows));
    }
}
