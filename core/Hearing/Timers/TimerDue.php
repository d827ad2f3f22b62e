<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Timers;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Timer;
use SilverParrot\Value\Moment;

/** The time of a timer has come. Whether it speaks is decided when it is heard: somebody else may have seen it too. */
final readonly class TimerDue implements Event
{
    /**
     * @param  int  $times  how often it spoke before
     * @param  bool  $isNow  whether it speaks whatever its clock says, because somebody said so
     */
    public function __construct(
        public Timer $timer,
        private int $times,
        private Moment $at,
        public bool $isNow = false,
    ) {
    }

    /** Of one saying, whoever saw that it is due: a later try of the same one has another minute. */
    public function key(): string
    {
        $minute = intdiv($this->at->millis, 60_000);

        return "timer {$this->timer->id} {$this->times} $minute".($this->isNow ? ' now' : '');
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
