<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** A stream has begun: what its numbers are counted from is noted. */
final readonly class StreamBegan implements Event
{
    /** @param  string  $period  as RunningStream tells it */
    public function __construct(private string $period, private Moment $at)
    {
    }

    public function key(): string
    {
        return "{$this->period} began";
    }

    public function at(): Moment
    {
        return $this->at;
    }

    public function person(): ?Person
    {
        return null;
    }

    public function line(): ?ChatLine
    {
        return null;
    }
}
