<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Source\Fold;

/** A named text kept in one place and used in many responses. */
final readonly class Fact
{
    public string $id;

    /**
     * @param  bool  $isResponse  whether its slots are filled in when it is said
     * @param  array<string, string>  $parts  what may be added where it is an address, by name; see ExtraParts
     */
    public function __construct(
        public string $name,
        public string $text,
        string $id = '',
        public bool $isResponse = false,
        public array $parts = [],
    ) {
        $this->id = $id === '' ? $name : $id;
    }

    /**
     * @param  list<string>  $names  folded
     * @return string|null with these parts; null where one is none of its
     */
    public function with(array $names): ?string
    {
        $folded = array_combine(array_map(Fold::caseless(...), array_keys($this->parts)), $this->parts);
        $added = array_map(static fn (string $name): ?string => $folded[$name] ?? null, $names);

        $known = array_values(array_filter($added, is_string(...)));

        return count($known) === count($added) ? ExtraParts::addTo($this->text, $known) : null;
    }
}
