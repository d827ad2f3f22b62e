<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

use App\Storage\Viewers;
use Illuminate\Database\Connection;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Who viewers are: by the login that was last theirs, or by the id that stays theirs. */
final class People implements Keeps
{
    public function read(Connection $connection, int $channel, array $keys, Viewers $viewers): array
    {
        $logins = $numbers = [];
        foreach ($keys as $key) {
            $number = $key->kind === Kind::Seen ? $viewers->numberOf($key->owner->of) : null;
            if ($key->kind === Kind::Person) {
                $logins[$key->name] = $key->id();
            } elseif ($number !== null) {
                $numbers[$number] = $key->id();
            }
        }
        $values = [];
        // Of several who had a login, the one who was seen last has it.
        foreach ($this->rows($connection, $channel, 'login', array_map(strval(...), array_keys($logins))) as $row) {
            $values[$logins[$row->login]] = self::record($row);
        }
        foreach ($this->rows($connection, $channel, 'id', array_keys($numbers)) as $row) {
            $values[$numbers[$row->id]] = self::record($row);
        }

        return $values;
    }

    /** With the names that they had, and how long they were here. */
    public function each(Connection $connection, int $channel, Kind $kind): iterable
    {
        $rows = $connection->table('viewers')->where('channel_id', $channel)->where('name', '<>', '')->lazyById(2_000);
        foreach ($rows as $row) {
            /**
             * @var object{id: int, service: string, service_id: string, login: string, name: string, levels: string,
             *     tier: int, first_seen: string|null, last_seen: string|null, lines: int|null, days: int,
             *     minutes_here: int, logins_before: string} $row
             */
            $names = json_decode($row->logins_before, true);
            $record = self::record($row);
            yield [
                Key::seen(Viewers::personId($row->service, $row->service_id)),
                array_diff_key($record, ['id' => true])
                    + array_filter(['days' => $row->days, 'minutes_here' => $row->minutes_here])
                    + (is_array($names) && $names !== [] ? ['names_before' => $names] : []),
            ];
        }
    }

    /** Names are as they are now, those of before are kept; when somebody was first seen never changes. */
    public function keep(Connection $connection, int $channel, array $changes, Viewers $viewers): void
    {
        $names = [];
        foreach ($changes as $change) {
            $record = is_array($change->to) ? $change->to : [];
            $number = is_string($record['id'] ?? null) ? $viewers->numberOf($record['id']) : null;
            if ($number === null) {
                continue;
            }
            $moment = static fn (string $key): ?string => is_string($record[$key] ?? null)
                ? Moment::fromIso($record[$key])?->in(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s.v')
                : null;
            $lines = is_int($record['lines'] ?? null) ? $record['lines'] : null;
            foreach (['login', 'name'] as $called) {
                $name = is_string($record[$called] ?? null) ? Fold::caseless($record[$called]) : '';
                $names["$number $name"] = [$channel, $name, $number];
            }
            $connection->update(
                "UPDATE viewers SET logins_before = IF(login <> ? AND name <> '' AND JSON_LENGTH(logins_before) < 50,
                        JSON_ARRAY_APPEND(logins_before, '$', login), logins_before),
                    login = ?, name = ?, levels = ?, tier = ?,
                    days = days + IF(? IS NULL OR DATE(?) <=> DATE(last_seen), 0, 1),
                    first_seen = COALESCE(first_seen, ?), last_seen = COALESCE(?, last_seen),
                    `lines` = IF(?, COALESCE(`lines`, 0) + COALESCE(?, 0), COALESCE(?, `lines`))
                 WHERE channel_id = ? AND id = ?",
                [
                    $record['login'] ?? '',
                    $record['login'] ?? '',
                    $record['name'] ?? '',
                    json_encode($record['levels'] ?? [], JSON_THROW_ON_ERROR),
                    is_int($record['tier'] ?? null) ? $record['tier'] : 0,
                    $moment('last_seen'),
                    $moment('last_seen'),
                    $moment('first_seen'),
                    $moment('last_seen'),
                    $viewers->wasClaimed($number) ? 1 : 0,
                    $lines,
                    $lines,
                    $channel,
                    $number,
                ],
            );
        }
        if ($names !== []) {
            // By any of them somebody is found.
            $connection->insert(
                'INSERT IGNORE INTO viewer_names (channel_id, name, viewer_id) VALUES '
                    .implode(',', array_fill(0, count($names), '(?,?,?)')),
                array_merge(...array_values($names)),
            );
        }
    }

    /**
     * @param  object{service: string, service_id: string, login: string, name: string, levels: string, tier: int,
     *     first_seen: string|null, last_seen: string|null, lines: int|null}  $row
     * @return array<string, mixed> as Person::fromRecord reads it
     */
    public static function record(object $row): array
    {
        $moment = static fn (?string $at): ?string => $at === null
            ? null
            : Moment::fromIso(str_replace(' ', 'T', $at).'Z')?->iso();

        return [
            'id' => Viewers::personId($row->service, $row->service_id),
            'login' => $row->login,
            'name' => $row->name,
            'levels' => json_decode($row->levels, true),
            'tier' => $row->tier,
        ]
            + array_filter(
                [
                    'first_seen' => $moment($row->first_seen),
                    'last_seen' => $moment($row->last_seen),
                    'lines' => $row->lines,
                ],
                static fn (int|string|null $value): bool => $value !== null,
            );
    }

    /**
     * @param  list<int|string>  $those
     * @return list<object{id: int, service: string, service_id: string, login: string, name: string, levels: string,
     *     tier: int, first_seen: string|null, last_seen: string|null, lines: int|null}>
     */
    private function rows(Connection $connection, int $channel, string $column, array $those): array
    {
        if ($those === []) {
            return [];
        }
        $marks = implode(',', array_fill(0, count($those), '?'));
        /**
         * @var list<object{id: int, service: string, service_id: string, login: string, name: string, levels: string,
         *     tier: int, first_seen: string|null, last_seen: string|null, lines: int|null}> $rows
         */
        $rows = $connection->select(
            "SELECT * FROM viewers WHERE channel_id = ? AND $column IN ($marks) AND name <> '' ORDER BY last_seen, id",
            [$channel, ...$those],
        );

        return $rows;
    }
}
