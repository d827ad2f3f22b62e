<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/** Readings that know where they came from, for the why. */
interface TellsOrigins
{
    /** Null for what is no look-up's, or where nobody knows. */
    public function originOf(Request $request): ?ReadingOrigin;
}
