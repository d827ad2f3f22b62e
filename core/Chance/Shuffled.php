<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

/**
 * An order in which each thing has a place by its own luck: taking one out or putting one in leaves all others where
 * they are. Heavier things tend to come earlier, as if they were drawn one after another by weight without putting back
 * (Efraimidis and Spirakis, 2006: the place is an exponential variate divided by the weight).
 */
final class Shuffled
{
    /** 2 to the power of 53, up to which a float holds every whole number. */
    private const PARTS = 9_007_199_254_740_992;

    /**
     * @param  array<array-key, int>  $weights  from 1 on, by what tells the things apart
     * @param  string  $round  the luck of this order
     * @return array<array-key, float> places, by the same
     */
    public static function places(array $weights, string $round): array
    {
        $places = [];
        foreach ($weights as $key => $weight) {
            // The middle of one of 2^52 equal parts: never 0, whose logarithm has no end.
            $luck = (2 * hexdec(substr(hash('xxh64', "$round\xFF$key"), 0, 13)) + 1) / self::PARTS;
            $places[$key] = -log($luck) / max(1, $weight);
        }

        return $places;
    }
}
