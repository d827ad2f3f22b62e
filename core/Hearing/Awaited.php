<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

/** An effect, and what goes on once it is known what came of it. */
final readonly class Awaited
{
    public function __construct(public Effect $effect, public GoesOn $then)
    {
    }
}
