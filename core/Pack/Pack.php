<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Source\Fold;
use SilverParrot\Source\LooseFold;

/** The whole set of an author's definitions. */
final readonly class Pack
{
    /** @var array<string, Command> by folded trigger and alias; the first to claim one has it */
    public array $byTrigger;

    /** @var array<string, Command> the same, by what is left where nothing is spelt exactly so */
    public array $byLooseTrigger;

    /** @var array<string, true> folded first words of triggers, as they are spelt and as they are meant */
    private array $firstWords;

    /** @var array<string, true> folded logins of the parrot and the other talkers */
    private array $talkerLogins;

    /** How many words the longest trigger has. */
    public int $triggerWords;

    /**
     * @param  string  $parrot  the login of the parrot's account
     * @param  list<string>  $talkers  other accounts that talk by themselves; nothing they say sets anything off
     * @param  list<Command>  $commands
     * @param  array<string, Fact>  $facts  by folded name, as all that follow
     * @param  array<string, TextList>  $lists
     * @param  array<string, Counter>  $counters
     * @param  array<string, Occasion>  $occasions
     * @param  array<string, Field>  $fields
     * @param  list<CastMember>  $cast
     * @param  array<string, Goods>  $goods  by folded name
     * @param  array<string, Ladder>  $ladders  by the folded name of their field
     * @param  list<Emote>  $emotes
     * @param  list<Earning>  $earnings
     * @param  list<Timer>  $timers
     * @param  array<string, string>  $refusals  what is said where a gate is closed, by the refusal’s key, of commands
     *     that have no reply of their own for it
     * @param  array<string, Lookup>  $lookups  by folded name
     * @param  list<Script>  $scripts
     */
    public function __construct(
        public Channel $channel,
        public string $parrot = 'silver_parrot',
        public array $talkers = [],
        public array $commands = [],
        public array $facts = [],
        public array $lists = [],
        public array $counters = [],
        public array $occasions = [],
        public array $fields = [],
        public array $cast = [],
        public Flood $flood = new Flood,
        public array $goods = [],
        public array $ladders = [],
        public array $emotes = [],
        public QuoteSettings $quotes = new QuoteSettings,
        public array $earnings = [],
        public StreamPlan $plan = new StreamPlan,
        public array $refusals = [],
        public array $timers = [],
        public FromChat $fromChat = new FromChat,
        public RegularRule $regulars = new RegularRule,
        public array $lookups = [],
        public array $scripts = [],
    ) {
        $byTrigger = $byLooseTrigger = $firstWords = $talkerLogins = [];
        foreach ([$parrot, ...$talkers] as $login) {
            $talkerLogins[Fold::caseless(ltrim(trim($login), '@'))] = true;
        }
        $most = 1;
        foreach ($commands as $command) {
            foreach ($command->triggers->all() as $trigger) {
                $byTrigger[Fold::caseless($trigger)] ??= $command;
                $byLooseTrigger[LooseFold::of($trigger)] ??= $command;
                $first = explode(' ', $trigger, 2)[0];
                $firstWords[Fold::caseless($first)] = $firstWords[LooseFold::of($first)] = true;
                $most = max($most, substr_count($trigger, ' ') + 1);
            }
        }
        $this->byTrigger = $byTrigger;
        $this->byLooseTrigger = $byLooseTrigger;
        $this->triggerWords = $most;
        $this->firstWords = $firstWords;
        $this->talkerLogins = $talkerLogins;
    }

    /** @param  string  $command  what a step runs: its id, or its trigger */
    public function run(string $command): ?Command
    {
        return $this->byId($command) ?? $this->command($command);
    }

    /** @param  string  $id  of a command */
    public function byId(string $id): ?Command
    {
        foreach ($this->commands as $command) {
            if ($command->id === $id) {
                return $command;
            }
        }

        return null;
    }

    /** A pack with nothing in it: what a response alone is said with. */
    public static function blank(): self
    {
        return new self(Channel::of('lantern_cove', 'Lantern Cove'));
    }

    public function command(string $trigger): ?Command
    {
        return $this->byTrigger[Fold::caseless($trigger)] ?? null;
    }

    /** The same pack with one command in place of another, or added: a draft that is not saved yet. */
    public function withCommand(Command $command, ?string $insteadOf = null): self
    {
        $commands = $this->commands;
        $place = count($commands);
        foreach ($commands as $at => $one) {
            if ($insteadOf !== null && Fold::caseless($one->trigger) === Fold::caseless($insteadOf)) {
                $place = $at;
            }
        }
        $commands[$place] = $command;

        return $this->withCommands(array_values($commands));
    }

    /** @param  list<Command>  $commands */
    public function withCommands(array $commands): self
    {
        return $this->with(['commands' => $commands]);
    }

    /** @param  list<Timer>  $timers */
    public function withTimers(array $timers): self
    {
        return $this->with(['timers' => $timers]);
    }

    /** Whether a word is the first of any trigger; nearly none that is written is. */
    public function beginsTrigger(string $word): bool
    {
        // In ASCII both are one.
        return isset($this->firstWords[Fold::caseless($word)])
            || (! mb_check_encoding($word, 'ASCII') && isset($this->firstWords[LooseFold::of($word)]));
    }

    /** Whoever talks by itself: the parrot, and other accounts that are known to. */
    public function isTalker(Person $person): bool
    {
        return isset($this->talkerLogins[$person->login]);
    }

    /**
     * @return list<string> folded logins of those who earn nothing of a unit and stand in none of its rankings: whoever
     *     talks by itself, and the streamer unless the author says otherwise
     */
    public function withoutPoints(Field $unit): array
    {
        $logins = [$this->parrot, ...$this->talkers, ...$unit->ranksStreamer ? [] : [$this->channel->login]];

        return array_map(Fold::caseless(...), $logins);
    }

    /** The same pack with one more account that talks by itself. */
    public function withTalker(string $login): self
    {
        return $this->with(['talkers' => [...$this->talkers, $login]]);
    }

    /** The same pack with another fact in place of the one of that name. */
    public function withFact(Fact $fact): self
    {
        return $this->with(['facts' => [Fold::caseless($fact->name) => $fact] + $this->facts]);
    }

    /**
     * The same pack, in which what another one calls otherwise is known by that name too: a draft has renamed what is
     * on the air under its old name still.
     */
    public function alsoCalledAs(self $other): self
    {
        return $this->with([
            'facts' => self::alsoCalled($this->facts, $other->facts),
            'lists' => self::alsoCalled($this->lists, $other->lists),
            'counters' => self::alsoCalled($this->counters, $other->counters),
            'occasions' => self::alsoCalled($this->occasions, $other->occasions),
        ]);
    }

    /** The same pack with another limit over all commands. */
    public function withFlood(Flood $flood): self
    {
        return $this->with(['flood' => $flood]);
    }

    /** @param  string  $name  folded; "points" is another name for the first unit of points */
    public function field(string $name): ?Field
    {
        if (isset($this->fields[$name]) || $name !== 'points') {
            return $this->fields[$name] ?? null;
        }
        foreach ($this->fields as $field) {
            if ($field->type === FieldType::Points) {
                return $field;
            }
        }

        return null;
    }

    /**
     * @template T of Fact|TextList|Counter|Occasion
     *
     * @param  array<string, T>  $ours
     * @param  array<string, T>  $theirs
     * @return array<string, T>
     */
    private static function alsoCalled(array $ours, array $theirs): array
    {
        $byId = array_column($ours, null, 'id');
        foreach ($theirs as $name => $one) {
            if (isset($byId[$one->id])) {
                $ours += [$name => $byId[$one->id]];
            }
        }

        return $ours;
    }

    /** @param  array<string, mixed>  $changed  by the name of the part */
    private function with(array $changed): self
    {
        $parts = get_object_vars($this);
        unset($parts['byTrigger'], $parts['byLooseTrigger'], $parts['triggerWords']);
        unset($parts['firstWords'], $parts['talkerLogins']);

        // @phpstan-ignore argument.type (each part is what it was, or what the callers above give)
        return new self(...array_replace($parts, $changed));
    }
}
