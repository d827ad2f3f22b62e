<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** How many of some goods were sold by the channel. */
final class SoldGoods extends Shelf
{
    public function __construct()
    {
        parent::__construct('sold_goods', 'goods');
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return is_int($value) ? ['number' => $value] : [];
    }

    protected function decode(array $row): ?int
    {
        return is_int($row['number'] ?? null) ? $row['number'] : null;
    }
}
