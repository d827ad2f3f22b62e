<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\RehearsalRow;
use DateTimeZone;
use SilverParrot\Value\Moment;

/** What the time was at each moment of an evening; one that goes on for days says which. */
final readonly class EveningClock
{
    private const DAY = 86_400_000;

    private function __construct(private Moment $start, private DateTimeZone $zone, private bool $hasDays)
    {
    }

    public static function of(RehearsalRow $row, string $zone): self
    {
        return new self(
            EveningPlan::of($row->options)->start,
            new DateTimeZone($zone),
            ($row->result['length'] ?? 0) > self::DAY,
        );
    }

    /** @param  int  $millis  since the start */
    public function at(int $millis): string
    {
        return $this->start->plusMillis($millis)->in($this->zone)->format($this->hasDays ? 'j M, H:i:s' : 'H:i:s');
    }

    /** At the edge, where others stand every so many milliseconds. */
    public function tick(int $millis, int $every): string
    {
        return $this->start->plusMillis($millis)->in($this->zone)->format(match (true) {
            $every >= self::DAY => 'j M',
            $this->hasDays => 'j M, H:i',
            $every < 60_000 => 'H:i:s',
            default => 'H:i',
        });
    }
}
