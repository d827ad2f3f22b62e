<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Outcome;

/** One line of a rehearsal and what came of it. */
final readonly class Heard
{
    public function __construct(public TimedLine $line, public Person $by, public Outcome $outcome)
    {
    }
}
