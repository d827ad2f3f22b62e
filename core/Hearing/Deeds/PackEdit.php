<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Effect;

/** Somebody in the chat changes the pack: which deed, with what, and who. PackEdits carries it out. */
final readonly class PackEdit implements Effect
{
    /** @param  array<string, string>  $with  filled in */
    public function __construct(public string $deed, public array $with, public Person $by)
    {
    }

    public function deed(): string
    {
        return $this->deed;
    }

    public function by(): Person
    {
        return $this->by;
    }

    public function toArray(): array
    {
        return ['deed' => $this->deed, 'with' => $this->with, 'by' => $this->by->record()];
    }

    /** @param  array<array-key, mixed>  $kept */
    public static function fromArray(array $kept): ?self
    {
        $by = Person::fromRecord($kept['by'] ?? null);
        $with = [];
        foreach (is_array($kept['with'] ?? null) ? $kept['with'] : [] as $input => $text) {
            $with[(string) $input] = is_string($text) ? $text : '';
        }

        return $by === null || ! is_string($kept['deed'] ?? null) ? null : new self($kept['deed'], $with, $by);
    }
}
