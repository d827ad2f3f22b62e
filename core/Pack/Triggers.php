<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** What sets a command off: the first words of lines. */
final readonly class Triggers
{
    /**
     * @param  string  $word  the one that the command is called by, "!tide"
     * @param  list<string>  $aliases  others
     */
    public function __construct(public string $word, public array $aliases = [])
    {
    }

    /** @return list<string> */
    public function all(): array
    {
        return [$this->word, ...$this->aliases];
    }
}
