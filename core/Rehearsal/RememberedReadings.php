<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Lookup\TellsOrigins;
use SilverParrot\Value\Value;

/** What has to be searched for in memory, quotes and who has the most. The rest is asked of others. */
final readonly class RememberedReadings implements Readings, TellsOrigins
{
    public function __construct(private Readings $others, private SearchedReadings $searched)
    {
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        return $this->others instanceof TellsOrigins ? $this->others->originOf($request) : null;
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        return $this->searched->has($request) ? $this->searched->read($request) : $this->others->read($request);
    }
}
