<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

/** One answer, read once, in which values are found by paths. */
interface Paths
{
    /** Places that one path may meet; what is beyond is not looked at. */
    public const MOST = 1_000;

    /** Characters of a path. */
    public const LONGEST = 500;

    /**
     * @return list<Found> every place that it meets, in the answer's order
     *
     * @throws BadPath
     */
    public function at(string $path): array;
}
