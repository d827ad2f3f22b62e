<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Pack\Command;

/** One line in the list of commands. */
final readonly class Entry
{
    public function __construct(public int $id, public Command $command, public string $sentence, public int $findings)
    {
    }
}
