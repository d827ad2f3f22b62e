<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

use Random\Engine;
use Random\Randomizer;

/** One stream of luck, drawn from in order. */
final readonly class Draw
{
    private Randomizer $randomizer;

    public function __construct(Engine $engine)
    {
        $this->randomizer = new Randomizer($engine);
    }

    /** A whole number from low to high, both included, each equally likely. */
    public function between(int $low, int $high): int
    {
        return $this->randomizer->getInt($low, $high);
    }

    /**
     * The place of one of the weights, each as likely as its share of the sum.
     *
     * @param  non-empty-array<int, int>  $weights  whole numbers; those of 0 and less are never drawn unless all are
     */
    public function weighted(array $weights): int
    {
        $sum = 0;
        foreach ($weights as $weight) {
            $sum += max(0, $weight);
        }
        if ($sum === 0) {
            return array_keys($weights)[$this->between(0, count($weights) - 1)];
        }
        $point = $this->between(1, $sum);
        foreach ($weights as $place => $weight) {
            $point -= max(0, $weight);
            if ($point <= 0) {
                return $place;
            }
        }

        throw new \LogicException('A point within the sum lies in one of its parts.');
    }

    /**
     * All places in an order drawn one after another by weight, without putting back.
     *
     * @param  array<int, int>  $weights
     * @return list<int>
     */
    public function order(array $weights): array
    {
        $order = [];
        while ($weights !== []) {
            $order[] = $place = $this->weighted($weights);
            unset($weights[$place]);
        }

        return $order;
    }
}
