<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Memory\Already;
use SilverParrot\Memory\Fenced;
use SilverParrot\Memory\Reads;

/** An event carried through, and what it read of memory on the way. */
final readonly class Carried
{
    public function __construct(public Outcome|Already|Fenced $outcome, public Reads $reads)
    {
    }
}
