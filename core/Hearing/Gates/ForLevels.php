<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/**
 * Who may set the command off: those with some levels, and some by name. Where it is for no level but for some by name,
 * it is for nobody else but the streamer. What no person sets off is nobody’s to be refused.
 */
final readonly class ForLevels extends GateSetting implements Gate
{
    /** People that one command may name. */
    public const MOST = 100;

    /** @param  list<string>  $persons  logins */
    public function __construct(public LevelRule $rule = new LevelRule, public array $persons = [])
    {
    }

    public static function persons(string ...$logins): self
    {
        return new self(new LevelRule, array_values($logins));
    }

    public static function atLeast(Level $level): self
    {
        return new self(new LevelRule(atLeast: $level));
    }

    public static function anyOf(Level ...$levels): self
    {
        return new self(new LevelRule(array_values($levels)));
    }

    /**
     * @return int how much it is meant for them: the more, the fewer it is for, and by name before any level; 0 for
     *     what is for everybody, and for whom it only lets pass, as it does the streamer
     */
    public function closeness(?Person $person): int
    {
        foreach ($this->persons as $login) {
            if ($person?->is($login) === true) {
                return Level::Streamer->value + 1;
            }
        }
        if ($person === null || $this->rule->isForEveryone()) {
            return 0;
        }
        if ($this->rule->atLeast !== null) {
            return $this->rule->atLeast->value;
        }
        $held = array_filter($this->rule->anyOf, static fn (Level $level): bool => $person->levels->has($level));

        return max([0, ...array_map(static fn (Level $level): int => $level->value, $held)]);
    }

    /** The same for those from a level on; who was named stays named. */
    public function from(Level $level): self
    {
        return new self($level === Level::Everyone ? new LevelRule : new LevelRule(atLeast: $level), $this->persons);
    }

    public static function key(): string
    {
        return 'levels';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $rule = LevelFormat::readRule($at, ['persons']);
        $persons = $at->has('persons')
            ? array_map(
                static fn (Document $login): string => ltrim(trim($login->text(60)), '@'),
                $at->at('persons')->items(self::MOST),
            )
            : [];
        // Nobody named would be everybody.
        if ($at->has('persons') && $persons === []) {
            $at->at('persons')->flaw(DocumentError::NothingNamed, []);
        }

        return new self($rule, $persons);
    }

    public function write(): ?array
    {
        return LevelFormat::writeRule($this->rule) + ($this->persons === [] ? [] : ['persons' => $this->persons])
            ?: null;
    }

    public static function schema(): array
    {
        return [
            'description' => '“persons” may use it besides those with the levels; alone, nobody but them',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => [
                'any_of' => ['$ref' => 'pack.schema.json#/$defs/levelRule/properties/any_of'],
                'at_least' => ['$ref' => 'pack.schema.json#/$defs/levelRule/properties/at_least'],
                'persons' => [
                    'type' => 'array',
                    'minItems' => 1,
                    'maxItems' => self::MOST,
                    'items' => ['type' => 'string', 'maxLength' => 60],
                ],
            ],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        $fields = is_array($fields) ? $fields : [];
        $who = is_string($fields['who'] ?? null) ? $fields['who'] : '';
        $persons = TypedFields::words($fields['persons'] ?? '');

        return match (true) {
            $who === 'any_of' => [
                'any_of' => array_values(array_filter((array) ($fields['any_of'] ?? []), is_string(...))),
            ] + ($persons === [] ? [] : ['persons' => $persons]),
            $who === 'persons' => ['persons' => $persons],
            $who === '', $who === Level::Everyone->word() => [],
            default => ['at_least' => $who] + ($persons === [] ? [] : ['persons' => $persons]),
        };
    }

    public function summary(): array
    {
        return [
            $this->neverCloses()
                ? new Message('summary.anyone')
                : new Message('summary.levels', ['levels' => $this->inWords()]),
        ];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('level', 'If they aren’t allowed', ['needs']);
    }

    public function gates(): array
    {
        return [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'level';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        if ($context->person === null || $this->admits($context->person)) {
            return new Open;
        }
        $needs = $this->inWords();

        return new GateRefusal(
            $this->name(),
            'level',
            ['needs' => $needs],
            ['needs' => $needs],
            self::refusal(),
        );
    }

    public function admits(Person $person): bool
    {
        foreach ($this->persons as $login) {
            if ($person->is($login)) {
                return true;
            }
        }

        return $this->persons !== [] && $this->rule->isForEveryone()
            ? $person->levels->has(Level::Streamer)
            : $this->rule->admits($person->levels);
    }

    public function neverCloses(): bool
    {
        return $this->persons === [] && $this->rule->isForEveryone();
    }

    /** "moderators and up", "moderators and up and bram", "bram, tamsin and the streamer" */
    public function inWords(): string
    {
        $persons = implode(', ', $this->persons);

        return match (true) {
            $persons === '' => $this->rule->inWords(),
            $this->rule->isForEveryone() => "$persons and the streamer",
            default => "{$this->rule->inWords()}, and $persons",
        };
    }
}
