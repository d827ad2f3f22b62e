<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Timers;

use SilverParrot\Value\Moment;

/** How it stands with a timer. */
final readonly class TimerStand
{
    /**
     * @param  Moment|null  $due  when its time has passed; null where it does not run now
     * @param  int  $missing  lines that must come before it speaks
     * @param  int  $times  how often it spoke
     * @param  bool  $isDue  whether it speaks now
     */
    public function __construct(
        public ?Moment $due,
        public int $missing,
        public int $times,
        public bool $isDue = false,
    ) {
    }
}
