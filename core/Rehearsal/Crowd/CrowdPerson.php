<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use SilverParrot\Chat\Person;

/** Somebody of a crowd, who comes and goes. */
final class CrowdPerson
{
    /** What they wrote last. */
    public string $last = '';

    /** @var int millis at which they come or go next */
    public int $turns = PHP_INT_MAX;

    public bool $isHere = true;

    public function __construct(public readonly Person $person)
    {
    }
}
