<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** How often commands succeeded, for the channel and for each viewer, within the stream or the day that is kept. */
final class CommandSuccesses extends Shelf
{
    public function __construct()
    {
        parent::__construct('command_successes', 'command', hasViewers: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return is_array($value) && is_string($value['period'] ?? null) && is_int($value['times'] ?? null)
            ? ['period' => $value['period'], 'times' => $value['times']]
            : [];
    }

    protected function decode(array $row): ?array
    {
        return is_string($row['period'] ?? null) && is_int($row['times'] ?? null)
            ? ['period' => $row['period'], 'times' => $row['times']]
            : null;
    }
}
