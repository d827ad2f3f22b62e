<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named value kept for each viewer. */
final readonly class Field
{
    /** What viewers' values are kept under; a new name does not change it. */
    public string $id;

    /** @param  string|null  $start what a viewer has before anything was set, written as in a response */
    public function __construct(
        public string $name,
        public FieldType $type = FieldType::Text,
        public ?string $start = null,
        string $id = '',
    ) {
        $this->id = $id === '' ? $name : $id;
    }
}
