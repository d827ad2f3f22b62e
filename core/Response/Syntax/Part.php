<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;

/** A piece of a response: text, a slot, or a choice. */
interface Part
{
    /** Adds what this part says to the run. */
    public function say(Run $run): void;
}
