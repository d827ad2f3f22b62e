<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** What a field holds of a viewer where it is no whole number. */
final class ViewerValues extends Shelf
{
    public function __construct()
    {
        parent::__construct('viewer_values', 'field', hasViewers: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return is_int($value) ? [] : ['value' => self::json($value)];
    }

    protected function decode(array $row): null|bool|int|string|array
    {
        return self::fromJson($row['value'] ?? null);
    }
}
