<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** The last change of each counter that is guarded against doubles: when, by whom, and what. */
final class GuardedCounts extends Shelf
{
    public function __construct()
    {
        parent::__construct('guarded_counts', 'counter', hasViewers: true, hasCategories: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return ['state' => self::json($value)];
    }

    protected function decode(array $row): null|bool|int|string|array
    {
        return self::fromJson($row['state'] ?? null);
    }
}
