<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Coverage;

/** How much of one command scripts come to. */
final readonly class Coverage
{
    /** @var int parts that there are: each item of a list is one */
    public int $parts;

    public int $reached;

    /**
     * @param  list<Coverable>  $all
     * @param  array<string, true>  $keys  of what was reached
     */
    public function __construct(public array $all, public array $keys)
    {
        $this->parts = array_sum(array_map(static fn (Coverable $one): int => count($one->keys), $all));
        $this->reached = array_sum(array_map(static fn (Coverable $one): int => $one->reachedOf($keys), $all));
    }

    /** @return list<Coverable> */
    public function missing(): array
    {
        return array_values(
            array_filter($this->all, fn (Coverable $one): bool => $one->isMissing($this->keys)),
        );
    }

    /** Whether any script comes to any of it. */
    public function isBegun(): bool
    {
        return $this->reached > 0;
    }
}
