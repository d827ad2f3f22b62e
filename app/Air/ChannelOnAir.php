<?php

declare(strict_types=1);

namespace App\Air;

use Closure;
use DateTimeZone;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Person;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Driver;
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

    public ?ChatConnection $chat = null;

    /** @var array<string, ChatLine> the last line of whoever spoke since the last tally, by person id */
    public array $seen = [];

    /** @var array<string, Moment> when the first of those lines was, by person id */
    public array $first = [];

    /** @var array<string, int> lines since the last tally, by person id */
    public array $lines = [];

    private int $tallies = 0;

    /** Whether something queued may still wait to be said; what another talker left does. */
    public bool $isBehind = true;

    /** @var list<Saying> what the last turn kept as handed on */
    public array $taken = [];

    /** @var list<float> when something was said lately, in seconds on a clock that only goes on */
    private array $said = [];

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
    ) {
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
        $this->present->heard($line);
        $this->seen[$line->by->id] = $line;
        $this->first[$line->by->id] ??= $line->at;
        $this->lines[$line->by->id] = ($this->lines[$line->by->id] ?? 0) + 1;
        $logged = $this->log(LogEntry::HEARD, $line->key, $line->by, $line->text, $line->at);
        if ($this->pack === null) {
            return [];
        }
        if ($this->paused) {
            if (! $this->pack->isTalker($line->by) && TriggerMatch::in($this->pack, $line->text) !== null) {
                $logged->unanswered($this->wording);
                ($this->tell)($this, $logged);
            }

            return [];
        }
        $world = new World(
            $this->pack,
            new CompleteView,
            $this->details,
            $line->at,
            new KeyedChance($this->seed, $line->key),
            $this->profile,
            wording: $this->wording,
        );
        $carried = $this->driver->hear($line, $world, new LiveReadings($this->details, $this->searched));
        if ($carried->outcome instanceof LeaseLost) {
            return null;
        }
        if ($carried->outcome instanceof AlreadyHandled) {
            return [];
        }
        $logged->foundBy($carried, $this->wording);
        // Where it waited for the outside, the log was written meanwhile.
        if (count($this->unwritten) < Capacity::LOG_WAITING) {
            $this->unwritten[$logged->number] = $logged;
        }
        if ($logged->outcome !== '') {
            ($this->tell)($this, $logged);
        }

        return $carried->outcome->sayings;
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
        $this->log($kind, $saying->answerTo, Person::unknown($name), $saying->text, $at);
    }

    private static function seconds(): float
    {
        return hrtime(true) / 1e9;
    }
}
