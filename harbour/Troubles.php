<?php

declare(strict_types=1);

namespace Harbour;

use function Amp\delay;

/** Troubles on demand, each for a while: what a real service does on a bad evening. */
final class Troubles
{
    /**
     * What can be asked for: all connections drop, lines come late, or twice, details come late, everything is refused,
     * and the parrot has no rights.
     */
    public const KINDS = ['drop', 'delay', 'twice', 'slow', 'refuse', 'deny'];

    public const LATE_SECONDS = 2.0;

    public const SLOW_SECONDS = 5.0;

    /** @var array<string, float> until when, by kind, on a clock that only goes on */
    private array $until = [];

    public function begin(string $kind, float $seconds): void
    {
        $this->until[$kind] = hrtime(true) / 1e9 + $seconds;
    }

    public function has(string $kind): bool
    {
        return ($this->until[$kind] ?? 0.0) > hrtime(true) / 1e9;
    }

    public function beLate(string $kind, float $seconds): void
    {
        if ($this->has($kind)) {
            delay($seconds);
        }
    }

    /** @return array<string, int> seconds that each still lasts */
    public function lasting(): array
    {
        return array_map(
            static fn (float $until): int => (int) ceil($until - hrtime(true) / 1e9),
            array_filter($this->until, static fn (float $until): bool => $until > hrtime(true) / 1e9),
        );
    }
}
