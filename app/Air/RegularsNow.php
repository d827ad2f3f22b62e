<?php

declare(strict_types=1);

namespace App\Air;

use App\Storage\Viewers;
use DateTimeZone;
use Illuminate\Database\Connection;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RegularState;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/** Who of a channel is a regular now. The service knows nothing of them: the level is of the channel's own giving. */
final class RegularsNow
{
    /** Of those who come to it at once, so many are made regulars in one turn. */
    private const AT_ONCE = 100;

    /** @var array<string, RegularState> by person id */
    private array $states = [];

    public function __construct(private readonly Connection $connection, private readonly int $channel)
    {
    }

    public function read(): void
    {
        $states = [];
        foreach (
            $this->connection->select(
                'SELECT v.service, v.service_id, r.state FROM regulars r JOIN viewers v ON v.id = r.viewer_id WHERE '
                    .'r.channel_id = ? AND v.channel_id = ?',
                [$this->channel, $this->channel],
            ) as $row
        ) {
            /** @var object{service: string, service_id: string, state: string} $row */
            $state = RegularState::fromJson($row->state);
            if ($state !== null) {
                $states[Viewers::personId($row->service, $row->service_id)] = $state;
            }
        }
        $this->states = $states;
    }

    /** The same person, with the level where they have it. */
    public function of(Person $person, Moment $now): Person
    {
        $state = $this->states[$person->id] ?? null;

        return $state?->holdsAt($now) === true && ! $person->levels->has(Level::Regular)
            ? Person::known(
                $person->id,
                $person->login,
                $person->name,
                Levels::of(Level::Regular, ...$person->levels->all()),
                $person->tier,
            )
            : $person;
    }

    /** Whoever has come to it by now is one from now on; who is none whatever they come to stays so. */
    public function earn(ChannelOnAir $channel, Store $store, Moment $now): void
    {
        $rule = $channel->pack?->regulars;
        if ($rule === null || $rule->isByHandAlone()) {
            return;
        }
        $since = $now
            ->plusMillis(-Person::HERE_SECONDS * 1_000)
            ->in(new DateTimeZone('UTC'))
            ->format('Y-m-d H:i:s');
        $rows = $this->connection->select(
            'SELECT service, service_id, login, name, `lines`, days, minutes_here FROM viewers v WHERE channel_id = ? '
                .'AND (last_seen > ? OR last_here > ?) AND (`lines` >= ? OR days >= ? OR minutes_here >= ?) AND NOT '
                .'EXISTS (SELECT 1 FROM regulars r WHERE r.channel_id = v.channel_id AND r.viewer_id = v.id) '
                .'ORDER BY id LIMIT '.self::AT_ONCE,
            [
                $this->channel,
                $since,
                $since,
                $rule->lines ?: PHP_INT_MAX,
                $rule->days ?: PHP_INT_MAX,
                $rule->hours * 60 ?: PHP_INT_MAX,
            ],
        );
        $people = [];
        foreach ($rows as $row) {
            /**
             * @var object{service: string, service_id: string, login: string, name: string, lines: int|null,
             *     days: int, minutes_here: int} $row
             */
            $why = $rule->reached($row->lines ?? 0, $row->days, $row->minutes_here);
            $id = Viewers::personId($row->service, $row->service_id);
            $person = Person::known($id, $row->login, $row->name, Levels::of());
            if ($why !== null && ! $channel->pack->isTalker($person)) {
                $people[] = [$person, $why];
            }
        }
        if ($people === []) {
            return;
        }
        $keys = array_map(static fn (array $one): Key => Key::regular($one[0]->id), $people);
        $store->turn(EventKey::none(), Reads::of(...$keys), static function (View $memory) use ($people, $now): Tally {
            $changes = [];
            foreach ($people as [$person, $why]) {
                if ($memory->value(Key::regular($person->id)) === null) {
                    $changes[] = RegularState::change($person, $why, $now, null, $memory);
                }
            }

            return new Tally($changes);
        });
        $this->read();
    }
}
