<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Value;

/** What the outside has said so far. No I/O; never throws. */
interface Readings
{
    /** A pending gap for what was not asked yet, another gap for what could not be had. */
    public function read(Request $request): null|bool|int|string|Value;
}
