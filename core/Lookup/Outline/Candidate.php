<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

/** One of several that a search has found: the value that is taken further, and what tells it apart. */
final readonly class Candidate
{
    /** @param  list<array{string, string}>  $tells  what it is called in the answer, empty for nothing; and what it is */
    public function __construct(public string $value, public array $tells)
    {
    }
}
