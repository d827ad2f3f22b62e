<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** Which stream of the channel is running, or was the last. */
final class RunningStreams extends Shelf
{
    public function __construct()
    {
        parent::__construct('running_streams', '');
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
