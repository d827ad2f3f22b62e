<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** Who is a regular, since when, why and until when. */
final class Regulars extends Shelf
{
    public function __construct()
    {
        parent::__construct('regulars', '', hasViewers: true);
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
