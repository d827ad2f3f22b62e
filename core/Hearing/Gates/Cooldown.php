<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Level;
use SilverParrot\Checks\NoCooldown;
use SilverParrot\Document\Document;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Pack\Gates;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/**
 * How many seconds must lie between two runs, for everybody together and for each person; that of a person by their
 * level, if wanted. Aliases and phrases share it. A refusal does not start it; whoever is let through starts it for the
 * others.
 */
final readonly class Cooldown extends GateSetting
{
    /** A day: longer pauses are for timers and occasions. */
    public const LONGEST = 86_400;

    public ByLevel $levels;

    /**
     * @param  int  $channel  seconds before anybody may use it again; 0: at once
     * @param  int  $person  seconds before the same person may
     * @param  ByLevel|null  $levels  seconds before the same person may, for those with some levels
     * @param  Level|null  $passes  whoever has at least this level is held back by none
     */
    public function __construct(
        public int $channel = 10,
        public int $person = 60,
        ?ByLevel $levels = null,
        public ?Level $passes = null,
    ) {
        $this->levels = $levels ?? ByLevel::of([]);
    }

    public static function none(): self
    {
        return new self(0, 0);
    }

    /** The same with another one for everybody together. */
    public function forAll(int $seconds): self
    {
        return new self($seconds, $this->person, $this->levels, $this->passes);
    }

    public static function key(): string
    {
        return 'cooldown';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['channel', 'person', 'levels', 'passes']);
        $usual = new self;

        return new self(
            $at->has('channel') ? $at->at('channel')->whole(0, self::LONGEST) : $usual->channel,
            $at->has('person') ? $at->at('person')->whole(0, self::LONGEST) : $usual->person,
            $at->has('levels') ? ByLevel::read($at->at('levels'), self::LONGEST) : null,
            $at->has('passes') ? LevelFormat::read($at->at('passes')) : null,
        );
    }

    /** Always said: whoever reads a pack wants to know it. */
    public function write(): array
    {
        return ['channel' => $this->channel, 'person' => $this->person]
            + ($this->levels->numbers === [] ? [] : ['levels' => $this->levels->write()])
            + ($this->passes === null ? [] : ['passes' => $this->passes->word()]);
    }

    public static function schema(): array
    {
        $seconds = ['$ref' => 'pack.schema.json#/$defs/seconds'];

        return [
            'description' => 'seconds; 10 and 60 where they are not given',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => [
                'channel' => $seconds,
                'person' => $seconds,
                'levels' => ByLevel::schema($seconds) + [
                    'description' => 'seconds for a person with one of these levels; the highest counts',
                ],
                'passes' => [
                    'description' => 'held back from this level on is nobody',
                    '$ref' => 'pack.schema.json#/$defs/level',
                ],
            ],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        $fields = is_array($fields) ? $fields : [];
        $passes = is_string($fields['passes'] ?? null) ? $fields['passes'] : '';

        return [
            'channel' => TypedFields::whole($fields['channel'] ?? ''),
            'person' => TypedFields::whole($fields['person'] ?? ''),
        ]
            + array_filter(['levels' => ByLevel::typed($fields['levels'] ?? [])])
            + ($passes === '' ? [] : ['passes' => $passes]);
    }

    public function summary(): array
    {
        $channel = new Message('summary.cooldown', ['length' => self::length($this->channel)]);
        $person = new Message('summary.cooldown-of-person', ['length' => self::length($this->person, 'once-')]);

        return [
            ...($this->channel > 0 ? [$channel] : []),
            ...($this->person > 0 ? [$person] : []),
            ...($this->channel === 0 && $this->person === 0 ? [new Message('summary.no-cooldown')] : []),
            ...array_map(
                static fn (string $level, int $seconds): Message => new Message('summary.cooldown-of-level', [
                    'levels' => Level::named($level)?->plural() ?? $level,
                    'length' => self::length($seconds, 'once-'),
                ]),
                array_keys($this->levels->write()),
                $this->levels->write(),
            ),
            ...($this->passes === null || $this->gates() === []
                ? []
                : [new Message('summary.cooldown-not-for', [
                    'levels' => (new LevelRule(atLeast: $this->passes))->inWords(),
                ])]),
        ];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('cooldown', 'During the cooldown', ['left']);
    }

    public function gates(): array
    {
        return [
            ...($this->channel > 0
                ? [new CooldownGate(GateScope::Channel, $this->channel, passes: $this->passes)]
                : []),
            ...($this->person > 0 || array_filter($this->levels->numbers) !== []
                ? [new CooldownGate(GateScope::Person, $this->person, $this->levels, $this->passes)]
                : []),
        ];
    }

    public function closable(Gates $among): array
    {
        $rule = $among->get(ForLevels::class)->rule;
        $levels = $rule->atLeast === null ? $rule->anyOf : [$rule->atLeast];
        $passes = $this->passes;
        $isHeld = $passes === null || $levels === [] || array_filter(
            $levels,
            static fn (Level $level): bool => $level->value < $passes->value,
        ) !== [];
        // One's own is over before everybody's is.
        $isOwnSeen = $this->person > $this->channel || $this->channel === 0 || array_filter(
            $this->levels->numbers,
            fn (int $seconds): bool => $seconds > $this->channel,
        ) !== [];

        return match (true) {
            ! $isHeld => [],
            $isOwnSeen => $this->gates(),
            default => array_slice($this->gates(), 0, 1),
        };
    }

    public static function checks(): array
    {
        return [new NoCooldown];
    }

    /** @param  string  $as  "once-" where it tells how often something may be */
    private static function length(int $seconds, string $as = ''): Message
    {
        return match (true) {
            $seconds === 0 => new Message('length.at-once'),
            $seconds % 3600 === 0 => new Message("length.{$as}hours", ['count' => intdiv($seconds, 3600)]),
            $seconds % 60 === 0 => new Message("length.{$as}minutes", ['count' => intdiv($seconds, 60)]),
            default => new Message("length.{$as}seconds", ['count' => $seconds]),
        };
    }
}
