<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** What is written about a command, and changes nothing of what it does. */
final readonly class CommandMetadata
{
    /**
     * @param  bool  $listed  whether [commands] lists it
     * @param  list<Expectation>  $expectations
     */
    public function __construct(
        public string $group = '',
        public string $note = '',
        public bool $listed = true,
        public array $expectations = [],
    ) {
    }
}
