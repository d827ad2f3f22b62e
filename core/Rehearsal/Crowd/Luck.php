<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** A crowd's luck: the same for the same seed. */
final readonly class Luck
{
    private const FINEST = 1 << 53;

    private Randomizer $random;

    public function __construct(string $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(hash('sha256', "crowd\xFF$seed", true)));
    }

    public function whole(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    /** More than 0, and at most 1. */
    public function part(): float
    {
        return $this->random->getInt(1, self::FINEST) / self::FINEST;
    }

    /** How long something takes that is as likely at every moment (the exponential distribution). */
    public function pause(float $mean): float
    {
        return -$mean * log($this->part());
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    /**
     * @param  non-empty-list<float>  $sums  rising: the weights up to each place
     * @return int a place, as likely as its weight
     */
    public function place(array $sums): int
    {
        $point = $this->part() * $sums[count($sums) - 1];
        [$low, $high] = [0, count($sums) - 1];
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $sums[$middle] < $point ? ($low = $middle + 1) : ($high = $middle);
        }

        return $low;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T>
     */
    public function shuffled(array $of): array
    {
        return $this->random->shuffleArray($of);
    }
}
