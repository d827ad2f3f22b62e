<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** All of memory at once: what is not in it is not there. For rehearsal and the command line. */
final readonly class CompleteView implements View
{
    /** @param  array<string, null|bool|int|string|array<string, mixed>>  $values by key id */
    public function __construct(private array $values = [])
    {
    }

    public function knows(Key $key): bool
    {
        return true;
    }

    public function value(Key $key): null|bool|int|string|array
    {
        return $this->values[$key->id()] ?? null;
    }
}
