<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\LogEntry;
use SilverParrot\Hearing\Outcome;

/** One line of the real chat, and what air and draft say to it. */
final readonly class HeardTwice
{
    public function __construct(public LogEntry $line, public Outcome $air, public Outcome $draft)
    {
    }
}
