<?php

declare(strict_types=1);

namespace App\Storage;

use App\Storage\Shelves\Balances;
use App\Storage\Shelves\People;
use Illuminate\Database\Connection;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Ranking;

/** Found by the database, in the rows of one channel. */
final readonly class MariaDbRanking implements Ranking
{
    /**
     * Scores that are looked at in one go: more than any ranking shows, for equals and for people who were never seen.
     */
    private const AT_ONCE = 60;

    public function __construct(private Connection $connection, private int $channel)
    {
    }

    public function top(string $field, int $count, array $without = []): array
    {
        $top = [];
        for ($from = 0; count($top) < $count; $from += self::AT_ONCE) {
            // The index gives the best first; of equals beyond these, whoever has the lower number stands before.
            /**
             * @var list<object{service: string, service_id: string, login: string, name: string, levels: string,
             *     tier: int, first_seen: string|null, last_seen: string|null, lines: int|null, amount: int}> $rows
             */
            $rows = $this->connection->select(
                'SELECT v.*, b.amount FROM (SELECT viewer_id, amount FROM balances WHERE channel_id = ? AND kind = ? '
                    .'AND unit = ? ORDER BY amount DESC LIMIT '
                    .self::AT_ONCE
                    ." OFFSET $from) b
                 JOIN viewers v ON v.id = b.viewer_id",
                [$this->channel, Balances::FIELD, $field],
            );
            usort($rows, static fn (object $a, object $b): int => $b->amount <=> $a->amount ?: $a->login <=> $b->login);
            foreach ($rows as $row) {
                // Made of those alone who are asked for: it is most of the time that this takes.
                $isLeftOut = $row->name === '' || count($top) >= $count || in_array($row->login, $without, true);
                $person = $isLeftOut ? null : Person::fromRecord(People::record($row));
                if ($person !== null) {
                    $top[] = [$person, $row->amount];
                }
            }
            if (count($rows) < self::AT_ONCE) {
                break;
            }
        }

        return $top;
    }
}
