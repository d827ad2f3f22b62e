<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

/** One place of an answer, with the way to it. */
final readonly class OutlineNode
{
    /**
     * @param  string  $label  what it is called where it stands: a key, a tag, a number
     * @param  string|null  $value  null for what only holds others
     * @param  string  $kind  "text", "number", "yes_no", "nothing"; empty for what only holds others
     * @param  string  $path  the way to it; empty where there is none
     * @param  list<self>  $inside
     */
    public function __construct(
        public string $label,
        public ?string $value,
        public string $kind,
        public string $path,
        public array $inside = [],
    ) {
    }

    /** @return list<self> it and all inside */
    public function all(): array
    {
        return [$this, ...array_merge([], ...array_map(static fn (self $one): array => $one->all(), $this->inside))];
    }
}
