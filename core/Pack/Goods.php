<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A thing that a viewer can own. How many one has is remembered, never below none. */
final readonly class Goods
{
    /** What is owned is kept under it; a new name does not change it. */
    public string $id;

    /**
     * @param  int  $price  in the first unit of points; 0 where it is not for sale
     * @param  int|null  $stock  how many there are to be sold; null for as many as are wanted
     * @param  int  $buyBack  what the channel gives for one; 0 where it takes none back
     */
    public function __construct(
        public string $name,
        public int $price = 0,
        string $id = '',
        public ?int $stock = null,
        public int $buyBack = 0,
    ) {
        $this->id = $id === '' ? $name : $id;
    }
}
