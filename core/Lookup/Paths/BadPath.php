<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

use Exception;

/** A path that cannot be read. */
final class BadPath extends Exception
{
    /** @param  int|null  $at  the character that it cannot be read from on, where that is known */
    public function __construct(string $why, public readonly ?int $at = null)
    {
        parent::__construct($why);
    }
}
