<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** On which day viewers checked in last, and for how many in a row. */
final class CheckIns extends Shelf
{
    public function __construct()
    {
        parent::__construct('check_ins', '', hasViewers: true);
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
