<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/** Nobody outside to ask: everything that was not known beforehand is a gap. */
final readonly class NoWeb implements Web
{
    public function readings(array $requests): array
    {
        $gaps = [];
        foreach ($requests as $request) {
            $gaps[$request->id] = $request->couldNotBeHad();
        }

        return $gaps;
    }
}
