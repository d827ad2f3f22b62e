<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Value;

/** The outside, asked for one event: it knows the one deadline under which all rounds of that event stand. */
interface Web
{
    /**
     * Never throws: what could not be had in time is a gap.
     *
     * @param  list<Request>  $requests
     * @return array<string, null|bool|int|string|Value> by request id; none left out
     */
    public function readings(array $requests): array;
}
