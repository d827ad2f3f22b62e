<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** The highest number that a quote of the channel ever had. */
final class LastQuotes extends Shelf
{
    public function __construct()
    {
        parent::__construct('last_quotes', '');
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
