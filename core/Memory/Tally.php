<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** Changes that no response asked for: who was seen, how many lines they wrote. */
final readonly class Tally implements Turn
{
    /** @param  list<Change>  $changes */
    public function __construct(private array $changes)
    {
    }

    public function changesToKeep(): array
    {
        return $this->changes;
    }

    public function sayingsToQueue(): array
    {
        return [];
    }
}
