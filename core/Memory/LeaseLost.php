<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** Somebody else holds the channel now: nothing was looked at, nothing kept. */
final readonly class LeaseLost
{
    /** @param  int  $epoch of whoever holds it */
    public function __construct(public int $epoch)
    {
    }
}
