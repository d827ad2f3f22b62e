<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Document\Document;

/** A number for each of some levels. Whoever holds several of them has that of the highest. */
final readonly class ByLevel
{
    /** @param  array<int, int>  $numbers  by the level’s rank, highest first */
    private function __construct(public array $numbers)
    {
    }

    /** @param  array<array-key, int>  $numbers  by the level’s word; what is none is left out */
    public static function of(array $numbers): self
    {
        $ranked = [];
        foreach ($numbers as $word => $number) {
            // A document’s keys may be anything, digits too.
            $level = Level::named((string) $word);
            if ($level !== null) {
                $ranked[$level->value] = $number;
            }
        }
        krsort($ranked);

        return new self($ranked);
    }

    public function for(Levels $held): ?int
    {
        foreach ($this->numbers as $rank => $number) {
            if ($held->has(Level::from($rank))) {
                return $number;
            }
        }

        return null;
    }

    public static function read(Document $at, int $most): self
    {
        $numbers = [];
        foreach ($at->each() as $word => $number) {
            if (Level::named((string) $word) === null) {
                $at->notOneOf((string) $word, self::words());
            }
            $numbers[(string) $word] = $number->whole(0, $most);
        }

        return self::of($numbers);
    }

    /** @return array<string, int> by the level’s word */
    public function write(): array
    {
        $written = [];
        foreach ($this->numbers as $rank => $number) {
            $written[Level::from($rank)->word()] = $number;
        }

        return $written;
    }

    /**
     * @param  array<string, mixed>  $number  JSON Schema of one
     * @return array<string, mixed>
     */
    public static function schema(array $number): array
    {
        return [
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => array_fill_keys(self::words(), $number),
        ];
    }

    /** @return array<string, int|string> of a form that has a field for each level */
    public static function typed(mixed $fields): array
    {
        return TypedFields::wholes(is_array($fields) ? $fields : [], ...self::words());
    }

    /** @return list<string> those above everyone: the rest is what holds anyway */
    public static function words(): array
    {
        return array_slice(Level::words(), 1);
    }
}
