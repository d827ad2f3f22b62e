<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use Closure;

/** Memory as one line found it; for what that line did not look at, memory as it is now. Nothing lasts. */
final readonly class FoundStore implements Store
{
    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $found  by key id */
    public function __construct(private array $found, private Store $now)
    {
    }

    public function snapshot(Reads $reads): View
    {
        $others = array_filter($reads->keys, fn (Key $key): bool => ! array_key_exists($key->id(), $this->found));
        $now = $this->now->snapshot(Reads::of(...array_values($others)));

        return new PartialView(
            array_map(
                fn (Key $key): null|bool|int|string|array => $this->found[$key->id()]
                    ?? (isset($others[$key->id()]) ? $now->value($key) : null),
                $reads->keys,
            ),
        );
    }

    public function turn(EventKey $key, Reads $reads, Closure $hear): Turn
    {
        return $hear($this->snapshot($reads));
    }
}
