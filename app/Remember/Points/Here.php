<?php

declare(strict_types=1);

namespace App\Remember\Points;

use App\Air\WhoIsHere;
use App\Models\Channel;
use App\Storage\Shelves\People;
use Illuminate\Database\Connection;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;

/** Who is here: those on the chat's own list, as the talker told it last; else whoever wrote within ten minutes. */
final readonly class Here
{
    private const MOST = 20_000;

    public function __construct(private Connection $connection)
    {
    }

    public function isListed(Channel $channel): bool
    {
        return $channel->here_listed_at?->greaterThan(now()->subSeconds(WhoIsHere::SECONDS)) === true;
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
            "SELECT * FROM viewers WHERE channel_id = ? AND service <> '' AND name <> '' AND "
                .($this->isListed($channel) ? 'last_here' : 'last_seen')
                .' >= ? ORDER BY last_seen DESC LIMIT '
                .self::MOST,
            [
                $channel->id,
                $this->isListed($channel) ? $channel->here_listed_at : now()->subSeconds(Person::HERE_SECONDS),
            ],
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
