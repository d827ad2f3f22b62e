<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

/** A check that may say something of a timer, at "/timers/2". */
interface OfTimers extends AcrossCommands
{
}
