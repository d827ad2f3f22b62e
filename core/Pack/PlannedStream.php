<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** One stream that is planned: each week on a weekday, or once on a date. */
final readonly class PlannedStream
{
    /** Minutes that one lasts at most: a day. */
    public const LONGEST = 1_440;

    /**
     * @param  string  $on  "mon" to "sun" for each week, or a date: "2026-12-24"
     * @param  string  $at  when it begins where the channel is: "19:30"
     * @param  int  $minutes  how long it lasts
     */
    public function __construct(
        public string $on,
        public string $at,
        public int $minutes = 180,
        public string $title = '',
        public string $category = '',
    ) {
    }

    public function isWeekly(): bool
    {
        return strlen($this->on) === 3;
    }
}
