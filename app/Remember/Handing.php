<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Remember\Viewers\Merging;
use App\Storage\Viewers;
use Illuminate\Database\Connection;

/**
 * What was kept under a login while the chat gave no ids, and who may have been meant: where somebody else with an id
 * had that login too, nobody inherits by themselves, and the streamer decides.
 */
final readonly class Handing
{
    private const MOST = 50;

    public function __construct(private Connection $connection, private Merging $merging)
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
            $this->merging->into($channel->id, $waiting, $to['number']);

            return $to['name'];
        });
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
