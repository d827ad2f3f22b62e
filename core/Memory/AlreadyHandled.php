<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** The event was taken by an earlier turn. */
final readonly class AlreadyHandled
{
    public function __construct(public string $eventKey)
    {
    }
}
