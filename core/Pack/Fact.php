<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named text kept in one place and used in many responses. */
final readonly class Fact
{
    public string $id;

    public function __construct(public string $name, public string $text, string $id = '')
    {
        $this->id = $id === '' ? $name : $id;
    }
}
