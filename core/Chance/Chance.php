<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

use Random\Randomizer;

/** Where luck comes from. Asked again for the same place, it gives the same. */
interface Chance
{
    /** @param  string  $place where in the response, e.g. "!tide/0@12" */
    public function at(string $place): Randomizer;
}
