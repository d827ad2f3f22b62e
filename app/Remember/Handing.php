<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Viewers;
use Illuminate\Database\Connection;

/**
 * What was kept under a login while the chat gave no ids, and who may have been meant: where somebody else with an id
 * had that login too, nobody inherits by themselves, and the streamer decides.
 */
final readonly class Handing
{
    private const MOST = 50;

    /**
     * Tables in which a viewer's number stands, and the column that adds up where both have something; empty where the
     * other's stays.
     */
    private const OWNED = [
        'balances' => 'amount',
        'counter_numbers' => 'number',
        'viewer_values' => '',
        'cooldowns' => '',
        'recent_answers' => '',
    ];

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @return list<array{id: int, login: string, lines: int, to: list<array{id: string, name: string, login: string}>}>
     */
    public function waiting(Channel $channel): array
    {
        $waiting = [];
        /** @var object{id: int, login: string, lines: int|null} $row */
        foreach (
            $this->connection->select(
                'SELECT id, login, `lines` FROM viewers WHERE channel_id = ? AND service IN '
                    .Viewers::BY_LOGIN
                    .' ORDER BY login LIMIT 2000',
                [$channel->id],
            ) as $row
        ) {
            $to = $this->candidates($channel, $row->login);
            if ($to !== [] && count($waiting) < self::MOST) {
                $waiting[] = ['id' => $row->id, 'login' => $row->login, 'lines' => $row->lines ?? 0, 'to' => $to];
            }
        }

        return $waiting;
    }

    /** @return string|null who has it now; null where one of the two is not there, and nothing was done */
    public function on(Channel $channel, int $waiting, string $personId): ?string
    {
        return $this->connection->transaction(function () use ($channel, $waiting, $personId): ?string {
            // The same lock as every turn's: nothing is written meanwhile.
            $this->connection->selectOne('SELECT id FROM channels WHERE id = ? FOR UPDATE', [$channel->id]);
            /** @var object{login: string, lines: int|null, first_seen: string|null}|null $from */
            $from = $this->connection->selectOne(
                'SELECT login, `lines`, first_seen FROM viewers WHERE channel_id = ? AND id = ? AND service IN '
                    .Viewers::BY_LOGIN,
                [$channel->id, $waiting],
            );
            $to =
                $from === null
                    ? null
                    : array_values(
                        array_filter(
                            $this->candidates($channel, $from->login),
                            static fn (array $one): bool => $one['id'] === $personId,
                        ),
                    )[0] ?? null;
            if ($from === null || $to === null) {
                return null;
            }
            foreach (self::OWNED as $table => $adds) {
                $this->merge($channel->id, $table, $adds, $waiting, $to['number']);
            }
            foreach (['ledger' => 'viewer_id', 'memory_history' => 'viewer_id'] as $table => $column) {
                $this->connection->update("UPDATE $table SET $column = ? WHERE channel_id = ? AND $column = ?", [
                    $to['number'],
                    $channel->id,
                    $waiting,
                ]);
            }
            $this->connection->update(
                'UPDATE memory_history SET by_viewer_id = ? WHERE channel_id = ? AND by_viewer_id = ?',
                [$to['number'], $channel->id, $waiting],
            );
            $this->connection->update(
                'UPDATE viewers SET `lines` = COALESCE(`lines`, 0) + ?, first_seen = LEAST(COALESCE(first_seen, ?), '
                    .'COALESCE(?, first_seen)) WHERE channel_id = ? AND id = ?',
                [$from->lines ?? 0, $from->first_seen, $from->first_seen, $channel->id, $to['number']],
            );
            $this->connection->delete('DELETE FROM viewers WHERE channel_id = ? AND id = ?', [$channel->id, $waiting]);

            return $to['name'];
        });
    }

    private function merge(int $channel, string $table, string $adds, int $from, int $to): void
    {
        $columns = match ($table) {
            'balances' => ['kind', 'unit'],
            'counter_numbers' => ['counter', 'owner_kind', 'category'],
            'viewer_values' => ['field'],
            'cooldowns' => ['command'],
            default => [],
        };
        $same = implode(
            '',
            array_map(static fn (string $column): string => " AND mine.$column = theirs.$column", $columns),
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

    /**
     * @return list<array{id: string, name: string, login: string, number: int}> who has, or had, that login, and an id
     *     of the service
     */
    private function candidates(Channel $channel, string $login): array
    {
        /** @var list<object{id: int, service: string, service_id: string, login: string, name: string}> $rows */
        $rows = $this->connection->select(
            'SELECT id, service, service_id, login, name FROM viewers WHERE channel_id = ? AND service <> \'\' AND '
                .'service NOT IN '
                .Viewers::BY_LOGIN
                .' AND (login = ? OR JSON_CONTAINS(logins_before, ?)) ORDER BY last_seen DESC LIMIT 10',
            [$channel->id, $login, json_encode($login, JSON_THROW_ON_ERROR)],
        );

        return array_map(
            static fn (object $row): array => [
                'id' => Viewers::personId($row->service, $row->service_id),
                'name' => $row->name === '' ? $row->login : $row->name,
                'login' => $row->login,
                'number' => $row->id,
            ],
            $rows,
        );
    }
}
