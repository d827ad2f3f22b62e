<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Parameters;

use SilverParrot\Source\Fold;

/** One of some words, in letters of any case; it goes out as it stands here. */
final readonly class OneOf implements ParameterRule
{
    /** Words of one. */
    public const MOST = 500;

    /** @param  list<string>  $words */
    public function __construct(public array $words)
    {
    }

    public static function key(): string
    {
        return 'one_of';
    }

    public function admitted(string $typed): ?string
    {
        foreach ($this->words as $word) {
            if (Fold::caseless($word) === Fold::caseless($typed)) {
                return $word;
            }
        }

        return null;
    }

    public function write(): array
    {
        return $this->words;
    }
}
