<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** Occasions' moments, as they are written in ISO 8601: they may lie in any year. */
final class OccasionMoments extends Shelf
{
    public function __construct()
    {
        parent::__construct('occasion_moments', 'occasion');
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return is_string($value) ? ['moment' => $value] : [];
    }

    protected function decode(array $row): ?string
    {
        return is_string($row['moment'] ?? null) ? $row['moment'] : null;
    }
}
