<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** The keys that were asked for, and nothing else. */
final readonly class PartialView implements View
{
    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $values by key id */
    public function __construct(private array $values)
    {
    }

    public function knows(Key $key): bool
    {
        return array_key_exists($key->id(), $this->values);
    }

    public function value(Key $key): null|bool|int|string|array
    {
        return $this->values[$key->id()] ?? null;
    }
}
