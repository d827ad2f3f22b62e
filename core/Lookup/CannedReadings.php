<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** Results given beforehand, for rehearsal; the rest of the outside is down. */
final readonly class CannedReadings implements Readings
{
    /** @param  array<string, null|bool|int|string|Value>  $results by request id, or by its part before the arguments */
    public function __construct(private array $results = [], private bool $restIsDown = true)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $id = $request->id();
        foreach ([$id, explode("\x1F", $id)[0]] as $known) {
            if (array_key_exists($known, $this->results)) {
                return $this->results[$known];
            }
        }

        return $this->restIsDown ? $request->couldNotBeHad() : Gap::pending();
    }
}
