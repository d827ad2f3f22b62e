<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** The longest time that ever lay between an occasion and the next. */
final class LongestRuns extends Shelf
{
    public function __construct()
    {
        parent::__construct('longest_runs', 'occasion');
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
