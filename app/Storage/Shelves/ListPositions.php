<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** How far lists were drawn, for the channel and for each viewer: which item came last, and in which round. */
final class ListPositions extends Shelf
{
    public function __construct()
    {
        parent::__construct('list_positions', 'list', hasViewers: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return ['position' => self::json($value)];
    }

    protected function decode(array $row): null|bool|int|string|array
    {
        return self::fromJson($row['position'] ?? null);
    }
}
