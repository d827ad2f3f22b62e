<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

/** A check of what commands name, and of no command: whoever looks at one command alone leaves it out. */
interface OfDefinitions extends AcrossCommands
{
}
