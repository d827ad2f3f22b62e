<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

/** What came up of a list so far, beside what was to be expected. */
final readonly class Draws
{
    /** Below so many expected draws of any item, the comparison says nothing (Cochran's rule; common practice: 5). */
    public const LEAST_EXPECTED = 5.0;

    /** By degrees of freedom: NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.4. */
    private const CRITICAL = [1 => 10.828, 2 => 13.816, 3 => 16.266, 4 => 18.467, 5 => 20.515];

    /**
     * @param  list<float>  $shares  of each item, of 1 together
     * @param  list<int>  $came  how often each came up
     */
    public function __construct(public array $shares, public array $came)
    {
    }

    public function total(): int
    {
        return array_sum($this->came);
    }

    /** Pearson's chi-square of what came up against the shares. */
    public function chiSquare(): float
    {
        $sum = 0.0;
        foreach ($this->shares as $at => $share) {
            $expected = $share * $this->total();
            $sum += $expected > 0 ? ($this->came[$at] - $expected) ** 2 / $expected : 0;
        }

        return $sum;
    }

    /** @return bool whether less than one in a thousand such rows of draws is as far from its shares */
    public function isUnlikely(): bool
    {
        $freedom = count($this->shares) - 1;
        $least = $this->shares === [] ? 0.0 : min($this->shares) * $this->total();

        return $freedom > 0 && $least >= self::LEAST_EXPECTED && $this->chiSquare() > self::critical($freedom);
    }

    /**
     * The .999 quantile of chi-square: as the tables have it, and by Wilson and Hilferty's cube root (1931) from six
     * degrees of freedom on, where it is within 0.6 % of them.
     */
    public static function critical(int $freedom): float
    {
        // The .999 quantile of the normal distribution.
        $z = 3.090232306167813;
        $part = 2 / (9 * $freedom);

        return self::CRITICAL[$freedom] ?? $freedom * (1 - $part + $z * sqrt($part)) ** 3;
    }
}
