<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

/** A quiet hour, or a rush: minutes in which more or less is written than otherwise. */
final readonly class CrowdPhase
{
    /**
     * @param  int  $from  minute since the start
     * @param  int  $to  the first minute after it
     * @param  int  $pace  in percent of how much is written otherwise
     */
    public function __construct(public int $from, public int $to, public int $pace)
    {
    }
}
