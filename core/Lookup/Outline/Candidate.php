<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

/** One of several that a search has found: the value that is taken further, and what tells it apart. */
final readonly class Candidate
{
    /** @param  list<array{string, string}>  $tells  what is beside it, by what it is called there; “” for nothing */
    public function __construct(public string $value, public array $tells)
    {
    }
}
