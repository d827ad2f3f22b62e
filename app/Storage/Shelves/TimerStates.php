<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** Since when timers wait, and how many lines there were that they wait for. */
final class TimerStates extends Shelf
{
    public const TIMER = 'timer';

    public const LINES = 'lines';

    public function __construct(string $kind)
    {
        parent::__construct('timer_states', 'timer', fixed: ['kind' => $kind]);
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
