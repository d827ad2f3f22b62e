<?php

declare(strict_types=1);

namespace Ground\Servers;

use Ground\Paths;
use Ground\Server;

/** A command of the application that goes on until it is told to end: it waits by itself for what it needs. */
final readonly class Artisan implements Server
{
    /** @param  non-empty-list<string>  $command */
    private function __construct(private Paths $paths, private string $name, private array $command)
    {
    }

    /** The talker. */
    public static function air(Paths $paths): self
    {
        return new self($paths, 'air', ['parrot:air']);
    }

    /** Does what takes too long for a page. */
    public static function queue(Paths $paths): self
    {
        return new self($paths, 'queue', ['parrot:queue']);
    }

    /** Hears evenings in rehearsals, when nothing else wants the processor: one for each core of a small machine. */
    public static function worker(Paths $paths, int $number): self
    {
        return new self($paths, "worker-$number", ['parrot:worker']);
    }

    /** Does at its hour what nobody asks for: forgetting. */
    public static function schedule(Paths $paths): self
    {
        return new self($paths, 'schedule', ['schedule:work', '--quiet']);
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return non-empty-list<string> */
    public function command(): array
    {
        return [PHP_BINARY, $this->paths->project.'/artisan', ...$this->command, '--no-ansi'];
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
