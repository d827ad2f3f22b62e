<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Database\Connection;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Standings;

/** Found by the database, in the rows of one channel. */
final readonly class MariaDbStandings implements Standings
{
    /** Scores that are looked at in one go: more than any ranking shows, for equals and for people who were never seen. */
    private const AT_ONCE = 200;

    public function __construct(private Connection $connection, private int $channel)
    {
    }

    public function top(string $field, int $count): array
    {
        $top = [];
        for ($from = 0; count($top) < $count; $from += self::AT_ONCE) {
            $scores = $this->scores($field, $from);
            $people = $this->people(array_map(strval(...), array_keys($scores)));
            foreach ($scores as $id => $score) {
                if (isset($people[$id])) {
                    $top[] = [$people[$id], $score];
                }
            }
            if (count($scores) < self::AT_ONCE) {
                break;
            }
        }
        // Equals stand by login, which the rows of scores do not know.
        usort($top, static fn (array $a, array $b): int => $b[1] <=> $a[1] ?: $a[0]->login <=> $b[0]->login);

        return array_slice($top, 0, $count);
    }

    /** @return array<array-key, int> by the person's id, highest first */
    private function scores(string $field, int $from): array
    {
        $begins = Key::field($field, '')->id();
        $scores = [];
        foreach ($this->connection->select("SELECT `key`, CAST(value AS INTEGER) AS score FROM memory WHERE channel_id = ? AND `key` LIKE ? AND JSON_TYPE(value) = 'INTEGER' ORDER BY score DESC, `key` LIMIT ".self::AT_ONCE." OFFSET $from", [$this->channel, self::beginning($begins)]) as $row) {
            /** @var object{key: string, score: int} $row */
            $scores[substr($row->key, strlen($begins))] = (int) $row->score;
        }

        return $scores;
    }

    /**
     * A person's record is kept under the login, and holds the id.
     *
     * @param  list<string>  $ids
     * @return array<array-key, Person> by id
     */
    private function people(array $ids): array
    {
        $people = [];
        $places = implode(', ', array_fill(0, count($ids), '?'));
        foreach ($ids === [] ? [] : $this->connection->select("SELECT value FROM memory WHERE channel_id = ? AND `key` LIKE ? AND JSON_VALUE(value, '$.id') IN ($places)", [$this->channel, self::beginning(Kind::Person->value."\x1F"), ...$ids]) as $row) {
            /** @var object{value: string} $row */
            $record = json_decode($row->value, true);
            /** @var array<string, mixed>|null $record */
            $person = Person::fromRecord($record);
            if ($person !== null) {
                $people[$person->id] = $person;
            }
        }

        return $people;
    }

    private static function beginning(string $text): string
    {
        return addcslashes($text, '%_\\').'%';
    }
}
