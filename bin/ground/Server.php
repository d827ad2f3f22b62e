<?php

declare(strict_types=1);

namespace Ground;

/** A program that the supervisor starts, watches and starts again. */
interface Server
{
    public function name(): string;

    /** @return non-empty-list<string> */
    public function command(): array;

    /** @return array<string, string> added to the environment */
    public function environment(): array;

    public function folder(): string;

    /** Seconds it may take to put its things in order after being asked to end. */
    public function patience(): float;

    public function isReady(): bool;
}
