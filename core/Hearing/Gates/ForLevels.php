<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Document\Document;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/** Who may set the command off. What no person sets off is nobody's to be refused. */
final readonly class ForLevels extends GateSetting implements Gate
{
    public function __construct(public LevelRule $rule = new LevelRule)
    {
    }

    public static function atLeast(Level $level): self
    {
        return new self(new LevelRule(atLeast: $level));
    }

    public static function anyOf(Level ...$levels): self
    {
        return new self(new LevelRule(array_values($levels)));
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
        return new self(LevelFormat::readRule($at));
    }

    public function write(): ?array
    {
        return LevelFormat::writeRule($this->rule) ?: null;
    }

    public static function schema(): array
    {
        return ['$ref' => 'pack.schema.json#/$defs/levelRule'];
    }

    public static function typed(mixed $fields): mixed
    {
        $who = is_array($fields) && is_string($fields['who'] ?? null) ? $fields['who'] : '';
        if ($who === 'any_of') {
            return ['any_of' => array_values(array_filter((array) ($fields['any_of'] ?? []), is_string(...)))];
        }

        return $who === '' || $who === Level::Everyone->word() ? [] : ['at_least' => $who];
    }

    public function summary(): array
    {
        return [
            $this->rule->isForEveryone()
                ? new Message('summary.anyone')
                : new Message('summary.levels', ['levels' => $this->rule->inWords()]),
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
        if ($context->person === null || $this->rule->admits($context->person->levels)) {
            return new Open;
        }
        $needs = $this->rule->inWords();

        return new GateRefusal(
            $this->name(),
            'level',
            ['needs' => $needs],
            ['needs' => $needs],
            self::refusal(),
        );
    }

    public function admits(Levels $levels): bool
    {
        return $this->rule->admits($levels);
    }

    public function neverCloses(): bool
    {
        return $this->rule->isForEveryone();
    }
}
