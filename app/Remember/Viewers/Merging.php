<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Storage\Viewers;
use Illuminate\Database\Connection;

/** What is kept of one viewer becomes another's: what can be added up is, and of the rest the other's stays. */
final readonly class Merging
{
    /** Tables in which a viewer's number stands: the column that adds up, and the columns that tell rows apart. */
    private const OWNED = [
        'balances' => ['amount', ['kind', 'unit']],
        'counter_numbers' => ['number', ['counter', 'owner_kind', 'category']],
        'viewer_values' => ['', ['field']],
        'cooldowns' => ['', ['command']],
        'command_successes' => ['', ['command']],
        'recent_answers' => ['', []],
        'list_positions' => ['', ['list']],
        'guarded_counts' => ['', ['counter', 'owner_kind', 'category']],
        'check_ins' => ['', []],
        'regulars' => ['', []],
    ];

    public function __construct(private Connection $connection)
    {
    }

    /** Within a transaction that holds the channel's row. */
    public function into(int $channel, int $from, int $to): void
    {
        foreach (self::OWNED as $table => [$adds, $columns]) {
            $this->move($channel, $table, $adds, $columns, $from, $to);
        }
        // Two rows of presence for one stream become one.
        $this->connection->update(
            'UPDATE ledger mine JOIN ledger theirs ON theirs.channel_id = mine.channel_id AND theirs.unit = mine.unit '
                .'AND theirs.presence = mine.presence AND theirs.viewer_id = ? SET mine.delta = mine.delta + '
                .'theirs.delta WHERE mine.channel_id = ? AND mine.viewer_id = ?',
            [$from, $channel, $to],
        );
        $this->connection->delete(
            'DELETE theirs FROM ledger theirs JOIN ledger mine ON mine.channel_id = theirs.channel_id AND mine.unit = '
                .'theirs.unit AND mine.presence = theirs.presence AND mine.viewer_id = ? WHERE theirs.channel_id = ? '
                .'AND theirs.viewer_id = ?',
            [$to, $channel, $from],
        );
        $this->connection->update('UPDATE ledger SET viewer_id = ? WHERE channel_id = ? AND viewer_id = ?', [
            $to,
            $channel,
            $from,
        ]);
        $this->connection->update(
            'UPDATE memory_history SET viewer_id = ?, owner = ? WHERE channel_id = ? AND viewer_id = ?',
            [$to, "viewer:{$this->personId($channel, $to)}", $channel, $from],
        );
        foreach (['memory_history', 'effects', 'changes', 'definition_changes'] as $table) {
            $this->connection->update(
                "UPDATE $table SET by_viewer_id = ? WHERE channel_id = ? AND by_viewer_id = ?",
                [$to, $channel, $from],
            );
        }
        $this->connection->update(
            'UPDATE viewers mine JOIN viewers theirs ON theirs.channel_id = mine.channel_id AND theirs.id = ? SET '
                .'mine.`lines` = COALESCE(mine.`lines`, 0) + COALESCE(theirs.`lines`, 0), mine.days = '
                .'mine.days + theirs.days, mine.minutes_here = mine.minutes_here + theirs.minutes_here, '
                .'mine.first_seen = '
                .'LEAST(COALESCE(mine.first_seen, theirs.first_seen), COALESCE(theirs.first_seen, mine.first_seen)), '
                ."mine.logins_before = IF(theirs.name <> '' AND theirs.login <> mine.login, "
                ."JSON_ARRAY_APPEND(mine.logins_before, '$', theirs.login), mine.logins_before) "
                .'WHERE mine.channel_id = ? AND mine.id = ?',
            [$from, $channel, $to],
        );
        $this->connection->update(
            'UPDATE IGNORE viewer_names SET viewer_id = ? WHERE channel_id = ? AND viewer_id = ?',
            [$to, $channel, $from],
        );
        foreach (['viewer_names' => 'viewer_id', 'viewers' => 'id'] as $table => $column) {
            $this->connection->delete("DELETE FROM $table WHERE channel_id = ? AND $column = ?", [$channel, $from]);
        }
    }

    private function personId(int $channel, int $number): string
    {
        /** @var object{service: string, service_id: string}|null $row */
        $row = $this->connection->selectOne('SELECT service, service_id FROM viewers WHERE channel_id = ? AND id = ?', [
            $channel,
            $number,
        ]);

        return Viewers::personId($row->service ?? '', $row->service_id ?? '');
    }

    /** @param  list<string>  $columns  that tell rows of one viewer apart */
    private function move(int $channel, string $table, string $adds, array $columns, int $from, int $to): void
    {
        $same = implode(
            '',
            array_map(static fn (string $column): string => " AND mine.`$column` = theirs.`$column`", $columns),
        );
        if ($adds !== '') {
            $this->connection->update(
                "UPDATE $table mine JOIN $table theirs ON theirs.channel_id = mine.channel_id AND theirs.viewer_id = "
                    ."?$same SET mine.$adds = mine.$adds + theirs.$adds WHERE mine.channel_id = ? AND mine.viewer_id "
                    .'= ?',
                [$from, $channel, $to],
            );
        }
        $this->connection->delete(
            "DELETE theirs FROM $table theirs JOIN $table mine ON mine.channel_id = theirs.channel_id AND "
                ."mine.viewer_id = ?$same WHERE theirs.channel_id = ? AND theirs.viewer_id = ?",
            [$to, $channel, $from],
        );
        $this->connection->update("UPDATE $table SET viewer_id = ? WHERE channel_id = ? AND viewer_id = ?", [
            $to,
            $channel,
            $from,
        ]);
    }
}
