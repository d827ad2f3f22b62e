<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** What is written about a command, and changes nothing of what it does. */
final readonly class CommandMetadata
{
    /**
     * @param  bool  $listed  on the public list or not
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
