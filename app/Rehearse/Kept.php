<?php

declare(strict_types=1);

namespace App\Rehearse;

use SilverParrot\Pack\Expectation;

/** An expectation that was made of a line, and the trigger of the command that answered it. */
final readonly class Kept
{
    public function __construct(public string $trigger, public Expectation $expectation)
    {
    }
}
