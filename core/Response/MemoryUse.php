<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Remembering;

/** A use of a name that may read of memory. */
final readonly class MemoryUse
{
    public function __construct(public Remembering $name, public Call $call)
    {
    }
}
