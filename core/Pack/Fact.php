<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named text kept in one place and used in many responses. */
final readonly class Fact
{
    public string $id;

    /** @param  bool  $isResponse  whether its slots are filled in when it is said */
    public function __construct(
        public string $name,
        public string $text,
        string $id = '',
        public bool $isResponse = false,
    ) {
        $this->id = $id === '' ? $name : $id;
    }
}
