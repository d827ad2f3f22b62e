<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

/** The chi-square distribution: how likely it is that chance alone comes so far from what was to be expected. */
final class ChiSquare
{
    private const ROUNDS = 500;

    private const FINEST = 1e-14;

    /**
     * The upper tail, by the incomplete gamma function: its series and its continued fraction (NIST DLMF 8.7.1, 8.9.2).
     *
     * @return float 0 to 1
     */
    public static function tail(float $chiSquare, int $freedom): float
    {
        [$a, $x] = [$freedom / 2, $chiSquare / 2];
        if ($x <= 0 || $freedom <= 0) {
            return 1.0;
        }
        $scale = exp(-$x + $a * log($x) - self::logGamma($a));

        return max(0.0, min(1.0, $x < $a + 1 ? 1 - $scale * self::series($a, $x) : $scale * self::fraction($a, $x)));
    }

    private static function series(float $a, float $x): float
    {
        $sum = $part = 1 / $a;
        for ($n = 1; $n < self::ROUNDS && $part > $sum * self::FINEST; $n++) {
            $part *= $x / ($a + $n);
            $sum += $part;
        }

        return $sum;
    }

    /** Lentz's method. */
    private static function fraction(float $a, float $x): float
    {
        $tiny = 1e-300;
        $b = $x + 1 - $a;
        $c = 1 / $tiny;
        $d = 1 / $b;
        $value = $d;
        for ($n = 1; $n < self::ROUNDS; $n++) {
            $an = -$n * ($n - $a);
            $b += 2;
            $d = $an * $d + $b;
            $d = 1 / (abs($d) < $tiny ? $tiny : $d);
            $c = $b + $an / $c;
            $c = abs($c) < $tiny ? $tiny : $c;
            $value *= $d * $c;
            if (abs($d * $c - 1) < self::FINEST) {
                break;
            }
        }

        return $value;
    }

    /** Stirling's series behind the recurrence that leads to a large argument (NIST DLMF 5.11.1, 5.5.1). */
    private static function logGamma(float $x): float
    {
        $shift = 0.0;
        for (; $x < 15; $x++) {
            $shift -= log($x);
        }
        $square = 1 / ($x * $x);
        $series = (1 / 12 - $square * (1 / 360 - $square * (1 / 1260 - $square / 1680))) / $x;

        return $shift + ($x - 0.5) * log($x) - $x + log(2 * M_PI) / 2 + $series;
    }
}
