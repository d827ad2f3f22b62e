<?php

declare(strict_types=1);

namespace App\Air;

use App\Storage\Shelves\People;
use Illuminate\Database\Connection;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/**
 * Who is here: those on the chat's own list who ever wrote, where it gives one; else whoever wrote within ten minutes.
 * The list is kept beside them, so that the screens know the same.
 */
final readonly class WhoIsHere
{
    /** A list that is older than this is none any more, for the screens: the talker tells a new one each minute. */
    public const SECONDS = 150;

    public function __construct(private Connection $connection)
    {
    }

    /** @return list<Person> */
    public function of(ChannelOnAir $channel, Moment $now): array
    {
        $logins = $channel->listed();

        return $logins === null ? $channel->present->here($now) : $this->listed($channel, $logins, $now);
    }

    /**
     * @param  list<string>  $logins
     * @return list<Person> those of a list who are known; looked for once a minute
     */
    public function listed(ChannelOnAir $channel, array $logins, Moment $now): array
    {
        $minute = intdiv($now->millis, 60_000);
        if ($channel->present->listed === null || $channel->present->listed[0] !== $minute) {
            $channel->present->listed = [$minute, $this->known($channel->id, $logins, $now)];
        }

        return $channel->present->listed[1];
    }

    /**
     * @param  list<string>  $logins
     * @return list<Person> of several who had a name, whoever was seen last has it
     */
    private function known(int $channel, array $logins, Moment $now): array
    {
        $at = gmdate('Y-m-d H:i:s', intdiv($now->millis, 1000));
        $this->connection->update('UPDATE channels SET here_listed_at = ? WHERE id = ?', [$at, $channel]);
        if ($logins === []) {
            return [];
        }
        $marks = implode(',', array_fill(0, count($logins), '?'));
        $people = $numbers = [];
        /**
         * @var list<object{id: int, service: string, service_id: string, login: string, name: string, levels: string,
         *     tier: int, first_seen: string|null, last_seen: string|null, lines: int|null}> $rows
         */
        $rows = $this->connection->select(
            "SELECT * FROM viewers WHERE channel_id = ? AND service <> '' AND name <> '' AND login IN ($marks)
             ORDER BY last_seen",
            [$channel, ...$logins],
        );
        foreach ($rows as $row) {
            $person = Person::fromRecord(People::record($row));
            if ($person !== null) {
                $people[$row->login] = $person;
                $numbers[$row->login] = $row->id;
            }
        }
        if ($numbers !== []) {
            $this->connection->update(
                'UPDATE viewers SET last_here = ? WHERE channel_id = ? AND id IN ('
                    .implode(',', array_fill(0, count($numbers), '?'))
                    .')',
                [$at, $channel, ...array_values($numbers)],
            );
        }

        return array_values($people);
    }
}
