<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Chat\Happening;
use SilverParrot\Rehearsal\TimedLine;

/** One line of a script, or one thing that happens in it, and what is expected of it. */
final readonly class ScriptPart
{
    /** @param  list<Expects>  $expected */
    public function __construct(public int $millis, public TimedLine|Happening $what, public array $expected = [])
    {
    }
}
