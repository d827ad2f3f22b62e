<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Database\Connection;

/**
 * The numbers of a channel's viewers in the database. Somebody is known by the service and by the id that the service
 * never gives to anybody else; a login may be given up and taken by another.
 */
final class Viewers
{
    /** Services that tell people apart by their login alone, as SQL writes them. */
    public const BY_LOGIN = "('account', 'nick')";

    /** Numbers that are remembered from one turn to the next; they never change. */
    private const MOST_KNOWN = 20_000;

    /** @var array<string, int> by person id */
    private array $numbers = [];

    /** @var array<int, true> rows that were somebody's by login alone until now */
    private array $claimed = [];

    public function __construct(private readonly int $channel)
    {
    }

    /** @return int|null null for who has no row */
    public function numberOf(string $personId): ?int
    {
        return $this->numbers["#$personId"] ?? null;
    }

    /**
     * Looks for those that are not known yet, in one statement.
     *
     * @param  list<string>  $personIds
     */
    public function find(Connection $connection, array $personIds): void
    {
        $missing = array_values(
            array_filter(
                array_unique($personIds),
                fn (string $id): bool => $id !== '' && ! isset($this->numbers["#$id"]),
            ),
        );
        if ($missing === []) {
            return;
        }
        if (count($this->numbers) > self::MOST_KNOWN) {
            $this->numbers = [];
        }
        $marks = implode(',', array_fill(0, count($missing), '(?,?)'));
        foreach (
            $connection->select(
                'SELECT id, service, service_id FROM viewers WHERE channel_id = ? AND (service, service_id) IN '
                    ."($marks)",
                [$this->channel, ...array_merge(...array_map(self::parts(...), $missing))],
            ) as $row
        ) {
            /** @var object{id: int, service: string, service_id: string} $row */
            $this->numbers['#'.self::personId($row->service, $row->service_id)] = $row->id;
        }
    }

    /**
     * Makes a row for each of these who has none.
     *
     * @param  array<array-key, string>  $logins  by person id
     */
    public function make(Connection $connection, array $logins): void
    {
        $ids = array_map(strval(...), array_keys($logins));
        $this->find($connection, $ids);
        foreach ($ids as $id) {
            if ($id === '' || isset($this->numbers["#$id"])) {
                continue;
            }
            [$service, $serviceId] = self::parts($id);
            $claimed = in_array($service, ['', 'account', 'nick'], true)
                ? null
                : $this->waiting($connection, $logins[$id]);
            if ($claimed !== null) {
                $connection->update('UPDATE viewers SET service = ?, service_id = ? WHERE channel_id = ? AND id = ?', [
                    $service,
                    $serviceId,
                    $this->channel,
                    $claimed,
                ]);
                $this->claimed[$claimed] = true;
            } else {
                $connection->insert(
                    'INSERT IGNORE INTO viewers (channel_id, service, service_id, login, name, levels, tier, '
                        ."logins_before) VALUES (?, ?, ?, ?, '', '[]', 0, '[]')",
                    [$this->channel, $service, $serviceId, $logins[$id]],
                );
            }
            $this->find($connection, [$id]);
        }
    }

    /** Whether a row has just become theirs, with what it held; told once. */
    public function wasClaimed(int $number): bool
    {
        $was = isset($this->claimed[$number]);
        unset($this->claimed[$number]);

        return $was;
    }

    /** What a turn made is gone with it. */
    public function forget(): void
    {
        $this->numbers = [];
        $this->claimed = [];
    }

    public static function personId(string $service, string $serviceId): string
    {
        return $service === '' ? $serviceId : "$service:$serviceId";
    }

    /** @return array{string, string} the service, empty for the simulated people of rehearsals, and its id */
    public static function parts(string $personId): array
    {
        $parts = explode(':', $personId, 2);

        return isset($parts[1]) ? [$parts[0], $parts[1]] : ['', $personId];
    }

    /**
     * What was kept under a login while the service gave no ids is for whoever comes with that login and an id, unless
     * somebody else with an id had it too: then nobody inherits, and the streamer decides.
     */
    private function waiting(Connection $connection, string $login): ?int
    {
        /** @var list<object{id: int}> $waiting */
        $waiting = $connection->select(
            'SELECT id FROM viewers WHERE channel_id = ? AND login = ? AND service IN '
                .self::BY_LOGIN
                .' ORDER BY service LIMIT 1',
            [$this->channel, $login],
        );
        $others =
            $waiting === []
                ? null
                : $connection->selectOne(
                    "SELECT id FROM viewers WHERE channel_id = ? AND service <> '' AND service NOT IN "
                        .self::BY_LOGIN
                        .' AND (login = ? OR JSON_CONTAINS(logins_before, ?)) LIMIT 1',
                    [$this->channel, $login, json_encode($login, JSON_THROW_ON_ERROR)],
                );

        return $waiting === [] || $others !== null ? null : $waiting[0]->id;
    }
}
