<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Person;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Flood;
use SilverParrot\Value\Moment;

/** Somebody trying to set a command off, as a gate sees it. */
final readonly class Attempt
{
    public function __construct(public Command $command, public Person $caller, public Moment $at, public Flood $flood)
    {
    }
}
