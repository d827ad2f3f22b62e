<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Lookup\Readings;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PartialView;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/** A pack heard against simulated chat, on a copy of memory. Nothing in here lasts. */
final class Rehearsal
{
    private readonly InMemoryStore $store;

    private readonly Driver $driver;

    private readonly Readings $readings;

    /** The driver looks at the store, and never at the world's memory. */
    private readonly View $nothing;

    /** @var array<string, null|bool|int|string|array<string, mixed>> */
    private array $given = [];

    /** @var array<string, Person> by folded login and by folded name */
    private array $people = [];

    public function __construct(
        private readonly Pack $pack,
        InitialState $situation,
        private readonly string $seed,
        private readonly ChatProfile $profile,
        private readonly bool $traced = true,
        EventHandler $handler = new EventHandler,
        private readonly Wording $wording = new MessageKeys,
    ) {
        // What memory holds of the cast stays.
        $this->store = new InMemoryStore($situation->memory, $situation->rest, InitialState::ofCast($pack));
        $this->driver = new Driver($handler, $this->store);
        $this->readings = $situation->readings($this->store->values(...));
        $this->nothing = new PartialView([]);
        foreach ($pack->cast as $member) {
            $this->enter($member->person());
        }
    }

    /** Somebody joins, or comes back with other levels. */
    public function enter(Person $person): void
    {
        $this->people[Fold::caseless($person->login)] = $person;
        $this->people[Fold::caseless($person->name)] ??= $person;
    }

    public function person(string $name): ?Person
    {
        return $this->people[Fold::caseless(ltrim($name, '@'))] ?? null;
    }

    /** @param  string  $key the same for the same line of the same rehearsal: luck hangs on it */
    public function line(string $key, Person $by, string $text, Moment $at): Outcome
    {
        return $this->hear(new ChatLine($key, $by, $text, $at));
    }

    public function hear(Event $event): Outcome
    {
        $world = new World(
            $this->pack,
            $this->nothing,
            $this->readings,
            $event->at(),
            new KeyedChance($this->seed, $event->key()),
            $this->profile,
            $this->traced,
            $this->wording,
        );
        $carried = $this->driver->hear($event, $world);
        if (! $carried->outcome instanceof Outcome) {
            throw new \LogicException('Two events of a rehearsal have the same key.');
        }
        $this->given = $carried->memory;
        $person = $event->person();
        if ($person !== null) {
            $this->meet($person);
        }

        return $carried->outcome;
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> what is remembered now, by key id */
    public function memory(): array
    {
        return $this->store->values();
    }

    /**
     * @return array<string, null|bool|int|string|array<string, mixed>> what the last line found in memory, by key id
     */
    public function given(): array
    {
        return $this->given;
    }

    /** Whoever has spoken is known from then on, so others can name them. */
    private function meet(Person $person): void
    {
        $key = Key::person($person->login);
        $known = $this->store->snapshot(Reads::of($key))->value($key);
        if ($known === null && $person->isKnown()) {
            $record = $person->record();
            $this->store->turn(
                EventKey::none(),
                Reads::of($key),
                static fn (): Tally => new Tally([new Change($key, null, $record, 'person', $person->login)]),
            );
        }
    }
}
