<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named moment that lasts. */
final readonly class Occasion
{
    /** What its moment is kept under; a new name does not change it. */
    public string $id;

    public function __construct(public string $name, string $id = '')
    {
        $this->id = $id === '' ? $name : $id;
    }
}
