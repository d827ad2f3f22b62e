<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** Changes that no response asked for: who was seen, how many lines they wrote, what is put right at the screens. */
final readonly class Tally implements Turn
{
    /** @param  list<Change>  $changes */
    public function __construct(private array $changes, private ?Cause $cause = null)
    {
    }

    public function changesToKeep(): array
    {
        return array_values(
            array_filter($this->changes, static fn (Change $change): bool => ! $change->changesNothing()),
        );
    }

    public function cause(): Cause
    {
        return $this->cause ?? Cause::nobody();
    }

    public function sayingsToQueue(): array
    {
        return [];
    }

    public function effectsToKeep(): array
    {
        return [];
    }
}
