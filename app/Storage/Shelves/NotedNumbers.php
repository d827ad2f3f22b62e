<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** What numbers were when the stream began. */
final class NotedNumbers extends Shelf
{
    public function __construct()
    {
        parent::__construct('noted_numbers', 'what');
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
