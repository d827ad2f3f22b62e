<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Chat\Person;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Deeds\PackEdit;
use SilverParrot\Hearing\Deeds\PackEdits;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\Effect;
use SilverParrot\Hearing\EffectDone;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\StreamBegan;
use SilverParrot\Hearing\Timers\TimerClock;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Hearing\Timers\TimerStand;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PartialView;
use SilverParrot\Memory\PeopleLines;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use SilverParrot\Pack\FromChat;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
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

    private readonly RehearsedService $service;

    /** @var array{Pack, list<TimerClock>}|null of the timers of the pack as it was last */
    private ?array $clocks = null;

    /** The driver looks at the store, and never at the world's memory. */
    private readonly View $nothing;

    /** What comes of a line that sets nothing off. */
    private readonly Outcome $silence;

    /** @var array<string, null|bool|int|string|array<string, mixed>> */
    private array $given = [];

    /** @var array<string, null|bool|int|string> */
    private array $told = [];

    /** @var list<string> */
    private array $asked = [];

    /** @var array<string, Person> by folded login and by folded name */
    private array $people = [];

    /** @var array<string, true> logins of those who were noted as here */
    private array $met = [];

    /** @var array<int, int> lines that timers wait for and that are not noted yet, by minute since 1970 */
    private array $uncounted = [];

    /** How many these are. */
    private int $waiting = 0;

    /** @var list<PackEdit> changes from the chat that wait for the streamer, those that wait longest first */
    private array $held = [];

    private ?string $tracedKey = null;

    /** Whether its pack was changed from the chat. */
    private bool $isEdited = false;

    /** Before this, in milliseconds, no timer can be due; null where that has to be looked up. */
    private ?int $quietUntil = null;

    /** Before so many lines more, none that waits for lines can be. */
    private int $linesMissing = 0;

    /** @param  bool  $isLong  whether so much is heard that what is beneath is better read by single keys, once */
    public function __construct(
        private Pack $pack,
        InitialState $situation,
        private readonly string $seed,
        private readonly ChatProfile $profile,
        private readonly bool $traced = true,
        private readonly EventHandler $handler = new EventHandler,
        private readonly Wording $wording = new MessageKeys,
        bool $isLong = false,
    ) {
        // What memory holds of the cast stays.
        $this->store = new InMemoryStore(
            $situation->memory,
            $situation->rest,
            InitialState::ofCast($pack),
            $isLong || $situation->rest === null,
        );
        $this->driver = new Driver($this->handler, $this->store);
        $this->service = new RehearsedService($situation->outside($pack, $this->store->values(...)));
        $this->nothing = new PartialView([]);
        $this->silence = new Outcome;
        foreach ($pack->cast as $member) {
            $this->enter($member->person());
        }
    }

    /** Only this event is traced: the why of one moment is wanted, and all before it is heard on the way there. */
    public function traceOnly(string $key): void
    {
        $this->tracedKey = $key;
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> what was read of the real memory, by key id */
    public function found(): array
    {
        return $this->store->beneath();
    }

    /**
     * How it stands, beside what the checkpoint before this one holds.
     *
     * @param  int  $events  that were heard
     * @param  int  $clock  the moment of the last of them, in milliseconds since 1970
     */
    public function checkpoint(int $events, int $clock): Checkpoint
    {
        return new Checkpoint(
            $events,
            $clock,
            $this->store->changed(),
            $this->service->set,
            $this->uncounted,
            $this->isEdited ? PackFormat::write($this->pack) : null,
            array_map(static fn (PackEdit $one): array => $one->toArray(), $this->held),
        );
    }

    /** It stands as another stood that was made alike. */
    public function resume(Checkpoint $at): void
    {
        $this->store->put($at->memory);
        $this->service->set = $at->service;
        $this->uncounted = $at->uncounted;
        $this->waiting = array_sum($at->uncounted);
        $this->pack = $at->pack === null ? $this->pack : PackFormat::read($at->pack)[0];
        $this->isEdited = $at->pack !== null;
        $this->held = array_values(array_filter(array_map(PackEdit::fromArray(...), $at->held)));
        $this->quietUntil = null;
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
    public function line(string $key, Person $by, string $text, Moment $at, bool $isWhisper = false): Outcome
    {
        return $this->hear(new ChatLine($key, $by, $text, $at, isWhisper: $isWhisper));
    }

    public function hear(Event $event): Outcome
    {
        if ($event instanceof Happening) {
            $this->happens($event);
        }
        $isTraced = $this->traced || ($this->tracedKey !== null && $event->key() === $this->tracedKey);
        if (! $isTraced && $event instanceof ChatLine && $this->handler->ignores($event, $this->pack)) {
            $this->given = $this->told = $this->asked = [];
            $this->meet($event->by);
            $this->count($event, $this->silence);

            return $this->silence;
        }
        $world = new World(
            $this->pack,
            $this->nothing,
            $this->service,
            $event->at(),
            new KeyedChance($this->seed, $event->key()),
            $this->profile,
            $isTraced,
            $this->wording,
        );
        $carried = $this->driver->hear($event, $world);
        if (! $carried->outcome instanceof Outcome) {
            throw new \LogicException('Two events of a rehearsal have the same key.');
        }
        $outcome = $carried->outcome;
        $this->given = $carried->memory;
        $this->told = $carried->readings;
        $this->asked = $carried->asked;
        if ($event instanceof TimerDue) {
            $this->quietUntil = null;
        }
        foreach ($outcome->effects as $awaited) {
            $done = $this->carryOut($awaited->effect, $event->at());
            $outcome = $outcome->and($this->hear(new EffectDone($awaited->then, $done, $event->at())));
            $this->given += $carried->memory;
            $this->told += $carried->readings;
            $this->asked = [...$this->asked, ...$carried->asked];
        }
        $person = $event->person();
        if ($person !== null) {
            $this->meet($person);
        }
        $this->count($event, $outcome);

        return $outcome;
    }

    /** What changes the pack, or the stream, changes that of the rehearsal; a script plays the streamer’s yes. */
    private function carryOut(Effect $effect, Moment $now): ActionDone
    {
        return match (true) {
            $effect instanceof ServiceChange => $this->service->change($effect, $now),
            $effect instanceof PackEdit => $this->edit($effect, $now),
            default => ActionDone::refused('no-deed', ['name' => $effect->deed()]),
        };
    }

    private function edit(PackEdit $edit, Moment $now, bool $isAllowed = false): ActionDone
    {
        $edited = PackEdits::apply($edit, $this->pack, $now);
        if ($edited instanceof ActionDone) {
            return $edited;
        }
        if (! $isAllowed && $this->pack->fromChat->holdsBack($edit->by)) {
            if (count($this->held) >= FromChat::MOST_WAITING) {
                return ActionDone::refused('too-many-wait', ['most' => FromChat::MOST_WAITING]);
            }
            $this->held[] = $edit;

            return ActionDone::refused('waits');
        }
        $this->pack = $edited->pack;
        $this->isEdited = true;
        $this->quietUntil = null;

        return ActionDone::with([], $edited->outcome);
    }

    /** Whether no timer can be due before a moment, known without a look at memory. */
    public function isQuiet(Moment $until): bool
    {
        return $this->pack->timers === []
            || ($this->quietUntil !== null
                && $until->millis <= $this->quietUntil
                && $this->waiting < $this->linesMissing);
    }

    /** The next timer that speaks before a moment, if nothing else happens; those that are new begin to wait. */
    public function dueBefore(Moment $until, Moment $now): ?TimerDue
    {
        if ($this->isQuiet($until)) {
            return null;
        }
        $this->noteLines();
        $next = null;
        $this->quietUntil = $this->linesMissing = PHP_INT_MAX;
        $isLive = $this->service->read(Request::channel('live'));
        foreach ($this->clocks() as $place => $clock) {
            $timer = $this->pack->timers[$place];
            $reads = Reads::of(...$clock->reads($this->pack));
            $begins = $clock->begins($this->store->snapshot($reads), $now);
            if ($begins !== null) {
                $this->keep($begins);
            }
            $memory = $this->store->snapshot($reads);
            $stand = $clock->look($memory, $this->pack, $now, is_bool($isLive) ? $isLive : null);
            // Whatever is said, asked or written from now on only puts it off; what happens is looked at anew.
            if ($stand->due !== null && $stand->missing > 0) {
                $this->linesMissing = min($this->linesMissing, $stand->missing);
            } else {
                $this->quietUntil = min($this->quietUntil, $stand->due->millis ?? PHP_INT_MAX);
            }
            $at = $stand->due === null || $stand->missing > 0 ? null : max($stand->due->millis, $now->millis);
            // Lines that count for some minutes only may be too old by then.
            $isStill = $at !== null && $clock
                ->look($memory, $this->pack, new Moment($at), is_bool($isLive) ? $isLive : null)
                ->isDue;
            if ($isStill && $at < $until->millis && ($next === null || $at < $next->at()->millis)) {
                $next = new TimerDue($timer, $stand->times, new Moment($at));
            }
        }

        return $next;
    }

    /** @return list<array{Timer, TimerStand}> how it stands at a moment with each that is switched on */
    public function timers(Moment $now): array
    {
        $this->noteLines();
        $isLive = $this->service->read(Request::channel('live'));
        $stands = [];
        foreach ($this->clocks() as $place => $clock) {
            $timer = $this->pack->timers[$place];
            if ($timer->isOn) {
                $memory = $this->store->snapshot(Reads::of(...$clock->reads($this->pack)));
                $stands[] = [$timer, $clock->look($memory, $this->pack, $now, is_bool($isLive) ? $isLive : null)];
            }
        }

        return $stands;
    }

    /** @return list<TimerClock> */
    private function clocks(): array
    {
        if ($this->clocks === null || $this->clocks[0] !== $this->pack) {
            $made = array_map(static fn (Timer $timer): TimerClock => new TimerClock($timer), $this->pack->timers);
            $this->clocks = [$this->pack, $made];
        }

        return $this->clocks[1];
    }

    /** A line of somebody, which is no command, is one of those that timers wait for. */
    private function count(Event $event, Outcome $outcome): void
    {
        $isLine = $event instanceof ChatLine
            && ! $event->isWhisper
            && $outcome->command === null
            && ! $this->pack->isTalker($event->by);
        if ($isLine && $this->pack->timers !== []) {
            $minute = intdiv($event->at()->millis, 60_000);
            $this->uncounted[$minute] = ($this->uncounted[$minute] ?? 0) + 1;
            $this->waiting++;
        }
    }

    /** Counted together, and noted before anybody looks. */
    private function noteLines(): void
    {
        foreach ($this->uncounted as $minute => $lines) {
            $memory = $this->store->snapshot(Reads::of(Key::peopleLines()));
            $this->keep(PeopleLines::more($memory, $lines, new Moment($minute * 60_000)));
        }
        $this->uncounted = [];
        $this->waiting = 0;
    }

    private function happens(Happening $happening): void
    {
        if (in_array($happening->kind, [HappeningKind::Allows, HappeningKind::Refuses], true)) {
            $edit = array_shift($this->held);
            if ($edit !== null && $happening->kind === HappeningKind::Allows) {
                $this->edit($edit, $happening->at(), isAllowed: true);
            }
        }
        $isLive = $this->service->happens($happening);
        $this->quietUntil = null;
        if ($isLive === null) {
            return;
        }
        $stream = $this->store->snapshot(Reads::of(Key::stream()))->value(Key::stream());
        $change = RunningStream::look($stream, $isLive, $happening->at());
        if ($change !== null) {
            $this->keep($change);
        }
        $before = RunningStream::period($stream);
        $now = RunningStream::period($change === null ? $stream : $change->to);
        if ($before !== $now) {
            $this->hear(new StreamBegan($now, $happening->at()));
        }
    }

    private function keep(Change $change): void
    {
        $this->store->turn(
            EventKey::none(),
            Reads::of($change->key),
            static fn (): Tally => new Tally([$change]),
        );
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> what is remembered now, by key id */
    public function memory(): array
    {
        $this->noteLines();

        return $this->store->values();
    }

    /**
     * @return array<string, null|bool|int|string|array<string, mixed>> what the last line found in memory, by key id
     */
    public function given(): array
    {
        return $this->given;
    }

    /** @return array<string, null|bool|int|string> what the last line was told from outside, by request id */
    public function told(): array
    {
        return $this->told;
    }

    /** @return list<string> ids of what look-ups were asked for by the last line */
    public function asked(): array
    {
        return $this->asked;
    }

    /** Whoever has spoken is known from then on, so others can name them. */
    private function meet(Person $person): void
    {
        if (isset($this->met[$person->login])) {
            return;
        }
        $this->met[$person->login] = true;
        if ($person->isKnown()) {
            $this->store->fill(Key::person($person->login), $person->record());
        }
    }
}
