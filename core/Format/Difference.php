<?php

declare(strict_types=1);

namespace SilverParrot\Format;

/** One command that differs, or, with an empty trigger, what belongs to no command. */
final readonly class Difference
{
    /**
     * @param  string  $kind  "new", "changed" or "dropped"
     * @param  array<string, array{string, string}>  $fields  field => before, after
     * @param  string  $id  of the command
     */
    public function __construct(
        public string $trigger,
        public string $kind,
        public array $fields,
        public string $id = '',
    ) {
    }
}
