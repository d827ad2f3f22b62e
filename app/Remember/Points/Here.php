<?php

declare(strict_types=1);

namespace App\Remember\Points;

use App\Models\Channel;
use App\Storage\Shelves\People;
use Illuminate\Database\Connection;
use SilverParrot\Actions\EarnPoints;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;

/** Who is here, as far as the database knows: whoever wrote within ten minutes. */
final readonly class Here
{
    private const MOST = 20_000;

    public function __construct(private Connection $connection)
    {
    }

    /** @return list<Person> those who can have of a unit */
    public function of(Channel $channel, Pack $pack, Field $unit): array
    {
        $without = $pack->withoutPoints($unit);
        $here = [];
        /**
         * @var list<object{service: string, service_id: string, login: string, name: string, levels: string, tier: int,
         *     first_seen: string|null, last_seen: string|null, lines: int|null}> $rows
         */
        $rows = $this->connection->select(
            "SELECT * FROM viewers WHERE channel_id = ? AND name <> '' AND last_seen >= ? ORDER BY last_seen DESC "
                .'LIMIT '
                .self::MOST,
            [$channel->id, now()->subSeconds(EarnPoints::HERE_SECONDS)],
        );
        foreach ($rows as $row) {
            $person = in_array($row->login, $without, true) ? null : Person::fromRecord(People::record($row));
            if ($person !== null) {
                $here[] = $person;
            }
        }

        return $here;
    }
}
