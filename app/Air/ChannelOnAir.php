<?php

declare(strict_types=1);

namespace App\Air;

use App\Web\WebLookups;
use App\Web\WebReadings;
use Closure;
use DateTimeZone;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\HandledEvent;
use SilverParrot\Hearing\LineMatch;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Phrases\PhraseIndexes;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\LeaseLost;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/** One channel that this talker speaks for. */
final class ChannelOnAir
{
    /** Numbers of the log grow over the epochs: so many lines fit into one lease. */
    private const LINES_AN_EPOCH = 1_000_000_000;

    public bool $paused = false;

    /**
     * Which edition, pause, silences and chat server are in force: when it differs from the row's, they are read again.
     */
    public string $stamp = '';

    public ?Pack $pack = null;

    public int $edition = 0;

    public ?ChatAddress $address = null;

    /** Whether its chat is the streaming service’s own, which then takes what commands set. */
    public bool $isOfService = true;

    public ?ChatConnection $chat = null;

    /** @var array<string, ChatLine> the last line of whoever spoke since the last tally, by person id */
    public array $seen = [];

    /** @var array<string, Moment> when the first of those lines was, by person id */
    public array $first = [];

    /** @var array<string, int> lines since the last tally, by person id */
    public array $lines = [];

    /** Lines since the last tally that were no commands, by people who do not talk by themselves. */
    public int $peopleLines = 0;

    /** Before this moment, in milliseconds, no timer of its pack can be due; what is changed is seen by then. */
    public int $timersQuietUntil = 0;

    /** The pack that this was looked up in. */
    public ?Pack $timersOf = null;

    private int $tallies = 0;

    /** Whether something queued may still wait to be said; what another talker left does. */
    public bool $isBehind = true;

    /** Whether something may wait to be carried out; what another talker left does. */
    public bool $owes = true;

    /** @var list<Saying> what the last turn kept as handed on */
    public array $taken = [];

    /** @var list<float> when something was said lately, in seconds on a clock that only goes on */
    private array $said = [];

    private readonly PhraseIndexes $phrases;

    public readonly Troubles $troubles;

    /** Who wrote lately. */
    public readonly Present $present;

    /** Lines that its connection had dropped when they were counted last. */
    private int $droppedBefore = 0;

    /** @var array<int, LogEntry> what the log has not written yet, by number */
    public array $unwritten = [];

    /**
     * @var array<string, null|bool|int|string> what the channel's row holds of the service's details, as far as it is
     *     known
     */
    public array $keptDetails = [];

    private int $logged = 0;

    /** @param  Closure(self, LogEntry): void  $tell  whoever reads along */
    public function __construct(
        public readonly int $id,
        public readonly string $login,
        public readonly int $epoch,
        private readonly string $seed,
        private readonly Driver $driver,
        public readonly CachedDetails $details,
        private readonly Closure $tell,
        public ChatProfile $profile,
        private readonly SearchedReadings $searched,
        private readonly Wording $wording,
        public readonly RegularsNow $regulars,
        public readonly WebLookups $lookups,
    ) {
        $this->phrases = new PhraseIndexes;
        $this->troubles = new Troubles;
        $this->present = new Present;
    }

    /** @param  list<int>  $ages  milliseconds since each of what another talker has said lately */
    public function hadSaid(array $ages): void
    {
        $this->said = array_map(static fn (int $age): float => self::seconds() - $age / 1000, $ages);
    }

    public function hasSaid(): void
    {
        $this->said = [
            ...array_slice($this->said, -max($this->profile->often, $this->profile->oftenForModerators)),
            self::seconds(),
        ];
    }

    /** @return list<int> milliseconds since each was said, longest ago first */
    public function saidAges(): array
    {
        return array_map(static fn (float $at): int => (int) round((self::seconds() - $at) * 1000), $this->said);
    }

    /** What its connection has dropped since it was asked last. */
    public function countDropped(): void
    {
        $dropped = $this->chat->dropped ?? 0;
        $this->troubles->dropped += max(0, $dropped - $this->droppedBefore);
        $this->droppedBefore = $dropped;
    }

    public function state(): ConnectionState
    {
        return $this->address === null || $this->chat === null
            ? ConnectionState::Away
            : $this->chat->stateIn($this->address->name);
    }

    public function zone(): DateTimeZone
    {
        return $this->pack?->channel->zone ?? new DateTimeZone('UTC');
    }

    /** @return list<Saying>|null what is answered; null where the channel is not ours any more */
    public function hear(ChatLine $line): ?array
    {
        $line = $line->by($this->regulars->of($line->by, $line->at));
        if ($line->isWhisper) {
            return $this->whispered($line);
        }
        $this->present->heard($line);
        // It does not find itself, but whoever wrote just before it.
        $before = $this->unwrittenTallies();
        $this->seen[$line->by->id] = $line;
        $this->first[$line->by->id] ??= $line->at;
        $this->lines[$line->by->id] = ($this->lines[$line->by->id] ?? 0) + 1;
        $logged = $this->log(LogEntry::HEARD, $line->key, $line->by, $line->text, $line->at);
        if ($this->pack === null) {
            return [];
        }
        if ($this->paused) {
            $match = LineMatch::in($this->pack, $line->text, $this->phrases);
            if ($match !== null && ! $this->pack->isTalker($line->by)) {
                $logged->unanswered($this->wording);
                ($this->tell)($this, $logged);
            }

            return [];
        }
        $outcome = $this->answered($line, $this->pack, $logged, $before);
        $this->peopleLines += $outcome instanceof Outcome
            && $outcome->command === null
            && ! $this->pack->isTalker($line->by) ? 1 : 0;

        return match (true) {
            $outcome instanceof LeaseLost => null,
            $outcome instanceof Outcome => $outcome->sayings,
            default => [],
        };
    }

    /**
     * Nobody is here for having whispered, and what sets nothing off is nobody's to read: it is not kept.
     *
     * @return list<Saying>|null
     */
    private function whispered(ChatLine $line): ?array
    {
        if (
            $this->pack === null
            || $this->paused
            || $this->pack->isTalker($line->by)
            || TriggerMatch::in($this->pack, $line->text) === null
        ) {
            return [];
        }
        $logged = $this->log(LogEntry::WHISPERED, $line->key, $line->by, $line->text, $line->at);
        $outcome = $this->answered($line, $this->pack, $logged, $this->unwrittenTallies());

        return match (true) {
            $outcome instanceof LeaseLost => null,
            $outcome instanceof Outcome => $outcome->sayings,
            default => [],
        };
    }

    public function unwrittenTallies(): UnwrittenTallies
    {
        return new UnwrittenTallies($this->seen, $this->first, $this->lines, $this->peopleLines, Moment::of(now()));
    }

    private function answered(
        ChatLine $line,
        Pack $pack,
        LogEntry $logged,
        UnwrittenTallies $before,
    ): Outcome|LeaseLost|AlreadyHandled {
        $carried = $this->carried($line, $pack, $before);
        if (! $carried->outcome instanceof Outcome) {
            return $carried->outcome;
        }
        $logged->foundBy($carried, $this->wording);
        // Where it waited for the outside, the log was written meanwhile.
        if (count($this->unwritten) < Capacity::LOG_WAITING) {
            $this->unwritten[$logged->number] = $logged;
        }
        if ($logged->outcome !== '') {
            ($this->tell)($this, $logged);
        }

        return $carried->outcome;
    }

    /** @return list<string>|null logins on the chat's own list of people; null where it gives none */
    public function listed(): ?array
    {
        return $this->address === null ? null : $this->chat?->roster($this->address->name)?->listed();
    }

    /** @return list<Saying>|null what is said of what happened besides lines; null where the channel is not ours */
    public function happens(Event $event): ?array
    {
        $outcome = $this->pack === null || $this->paused ? null : $this
            ->carried($event, $this->pack, $this->unwrittenTallies())
            ->outcome;

        return match (true) {
            $outcome instanceof LeaseLost => null,
            $outcome instanceof Outcome => $outcome->sayings,
            default => [],
        };
    }

    private function carried(Event $event, Pack $pack, UnwrittenTallies $before): HandledEvent
    {
        $web = new LiveReadings($this->details, $this->searched, $this->lookups);
        $carried = $this->driver->hear(
            $event,
            $this->world($pack, $event->at(), $event->key()),
            $web,
            $before->over(...),
        );
        $this->owes = $this->owes || ($carried->outcome instanceof Outcome && $carried->outcome->effects !== []);

        return $carried;
    }

    /** What is heard in it at some moment; memory is the driver's. */
    public function world(Pack $pack, ?Moment $at = null, string $key = ''): World
    {
        $this->lookups->pack = $pack;

        return new World(
            $pack,
            new CompleteView,
            new WebReadings($this->details, $this->lookups),
            $at ?? Moment::of(now()),
            new KeyedChance($this->seed, $key),
            $this->profile,
            wording: $this->wording,
        );
    }

    /** As the service said last. */
    public function isLive(): bool
    {
        return ($this->keptDetails['live'] ?? null) === true;
    }

    /** Higher than that of any tally before, under whichever lease. */
    public function nextTally(): int
    {
        return $this->epoch * self::LINES_AN_EPOCH + ++$this->tallies;
    }

    public function log(string $kind, string $key, Person $by, string $text, Moment $at): LogEntry
    {
        $line = new LogEntry(
            $this->epoch * self::LINES_AN_EPOCH + ++$this->logged,
            $kind,
            $at,
            $key,
            $by,
            $text,
            $this->edition,
        );
        if (count($this->unwritten) < Capacity::LOG_WAITING) {
            $this->unwritten[$line->number] = $line;
        }
        ($this->tell)($this, $line);

        return $line;
    }

    public function logSaying(string $kind, Saying $saying, Moment $at): void
    {
        $name = $this->pack->parrot ?? 'parrot';
        $isAlone = $kind === LogEntry::SAID && $saying->place === Place::Whisper;
        $this->log(
            $isAlone ? LogEntry::SAID_ALONE : $kind,
            $saying->answerTo,
            Person::unknown($name),
            $saying->text,
            $at,
        );
    }

    private static function seconds(): float
    {
        return hrtime(true) / 1e9;
    }
}
