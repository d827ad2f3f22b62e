<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** What was kept of what was said, as it is searched for. */
interface Quotes
{
    public function count(QuoteSearch $search): int;

    /** @param  int  $place  among those that are found, by their numbers, from 1 */
    public function at(QuoteSearch $search, int $place): ?Quote;

    public function numbered(int $number): ?Quote;

    public function newest(): ?Quote;

    /** @return list<int> of all, lowest first */
    public function numbers(): array;
}
