<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** Several values in order. */
final readonly class Items implements Value
{
    /** @param  list<null|bool|int|string|Value>  $items */
    public function __construct(public array $items)
    {
    }
}
