<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

/** Looks at all commands of a pack together; every other check says the same of a command whatever the others are. */
interface AcrossCommands extends Check
{
}
