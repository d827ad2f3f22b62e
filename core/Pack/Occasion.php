<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named moment that lasts. */
final readonly class Occasion
{
    public function __construct(public string $name)
    {
    }
}
