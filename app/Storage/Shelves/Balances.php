<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** How much a viewer has of a field that is a whole number, or of some goods: what rankings go by. */
final class Balances extends Shelf
{
    public const FIELD = 'field';

    public const GOODS = 'goods';

    public function __construct(string $kind)
    {
        parent::__construct('balances', 'unit', hasViewers: true, fixed: ['kind' => $kind]);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return is_int($value) ? ['amount' => $value] : [];
    }

    protected function decode(array $row): ?int
    {
        return is_int($row['amount'] ?? null) ? $row['amount'] : null;
    }
}
