<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

use Random\Randomizer;

/** Draws in which some are likelier than others. */
final class Weighted
{
    /**
     * The place of one of the weights, each as likely as its share of the sum.
     *
     * @param  non-empty-array<int, int>  $weights  whole numbers; those of 0 and less are never drawn unless all are
     */
    public static function place(array $weights, Randomizer $luck): int
    {
        $sum = 0;
        foreach ($weights as $weight) {
            $sum += max(0, $weight);
        }
        if ($sum === 0) {
            return array_keys($weights)[$luck->getInt(0, count($weights) - 1)];
        }
        $point = $luck->getInt(1, $sum);
        foreach ($weights as $place => $weight) {
            $point -= max(0, $weight);
            if ($point <= 0) {
                return $place;
            }
        }

        throw new \LogicException('A point within the sum lies in one of its parts.');
    }
}
