<?php

declare(strict_types=1);

namespace Ground\Servers;

use Ground\Paths;
use Ground\Server;

/** The talker. It waits by itself for the database and for the chat. */
final readonly class Air implements Server
{
    public function __construct(private Paths $paths)
    {
    }

    public function name(): string
    {
        return 'air';
    }

    /** @return non-empty-list<string> */
    public function command(): array
    {
        return [PHP_BINARY, $this->paths->project.'/artisan', 'parrot:air', '--no-ansi'];
    }

    public function environment(): array
    {
        return [];
    }

    public function folder(): string
    {
        return $this->paths->project;
    }

    public function patience(): float
    {
        return 5;
    }

    public function isReady(): bool
    {
        return true;
    }
}
