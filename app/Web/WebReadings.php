<?php

declare(strict_types=1);

namespace App\Web;

use App\Air\CachedDetails;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\TellsOrigins;
use SilverParrot\Value\Value;

/** What is known of the outside without asking: details of the service, and what look-ups have said lately. */
final readonly class WebReadings implements Readings, TellsOrigins
{
    public function __construct(private CachedDetails $details, private WebLookups $lookups)
    {
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        return $this->lookups->originOf($request);
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        return $request->subject === 'lookup' ? $this->lookups->read($request) : $this->details->read($request);
    }
}
