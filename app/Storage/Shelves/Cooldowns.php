<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** When commands last ran, for the channel and for each viewer: milliseconds since 1970. */
final class Cooldowns extends Shelf
{
    public function __construct()
    {
        parent::__construct('cooldowns', 'command', hasViewers: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return is_int($value) ? ['last_run' => $value] : [];
    }

    protected function decode(array $row): ?int
    {
        return is_int($row['last_run'] ?? null) ? $row['last_run'] : null;
    }
}
