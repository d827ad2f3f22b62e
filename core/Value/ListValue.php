<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** Several values in order. */
final readonly class ListValue implements Value
{
    /**
     * @param  list<null|bool|int|string|Value>  $items
     * @param  list<int>  $scores  by which they are in order, where they are a ranking
     */
    public function __construct(public array $items, public array $scores = [])
    {
    }
}
