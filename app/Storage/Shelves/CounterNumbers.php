<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** Counters' numbers, with the stream or day that they count for where they begin anew. */
final class CounterNumbers extends Shelf
{
    public function __construct()
    {
        parent::__construct('counter_numbers', 'counter', hasViewers: true, hasCategories: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return match (true) {
            is_int($value) => ['number' => $value, 'period' => null],
            is_array($value) && is_int($value['n'] ?? null) && is_string($value['of'] ?? null) => [
                'number' => $value['n'],
                'period' => $value['of'],
            ],
            default => [],
        };
    }

    protected function decode(array $row): int|array|null
    {
        return match (true) {
            ! is_int($row['number'] ?? null) => null,
            is_string($row['period'] ?? null) => ['n' => $row['number'], 'of' => $row['period']],
            default => $row['number'],
        };
    }
}
