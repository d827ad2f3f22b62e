<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** How viewers become regulars by themselves: by whichever they come to first. */
final readonly class RegularRule
{
    public const MOST_LINES = 1_000_000;

    public const MOST_DAYS = 10_000;

    public const MOST_HOURS = 100_000;

    /**
     * @param  int  $lines  that they wrote; 0 where lines make nobody one
     * @param  int  $days  on which they wrote something; 0 where days make nobody one
     * @param  int  $hours  that they were here while the stream was live; 0 where time makes nobody one
     */
    public function __construct(public int $lines = 0, public int $days = 0, public int $hours = 0)
    {
    }

    public function isByHandAlone(): bool
    {
        return $this->lines === 0 && $this->days === 0 && $this->hours === 0;
    }

    /** @return string|null "lines", "days" or "hours"; null for whoever has not come so far */
    public function reached(int $lines, int $days, int $minutes): ?string
    {
        return match (true) {
            $this->lines > 0 && $lines >= $this->lines => 'lines',
            $this->days > 0 && $days >= $this->days => 'days',
            $this->hours > 0 && $minutes >= $this->hours * 60 => 'hours',
            default => null,
        };
    }
}
