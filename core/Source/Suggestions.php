<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** "Did you mean …?" */
final class Suggestions
{
    /**
     * The candidate that is reached with the fewest slips of the fingers (a letter left out, put in, changed, or two
     * neighbours swapped), if that is few for the word's length.
     *
     * @param  iterable<string>  $candidates
     * @param  int  $most  slips, whatever the length
     */
    public static function to(string $typed, iterable $candidates, int $most = 3): ?string
    {
        $word = mb_substr(Fold::caseless($typed), 0, 40);
        $allowed = min($most, match (true) {
            mb_strlen($word) <= 4 => 1,
            mb_strlen($word) <= 7 => 2,
            default => 3,
        });
        $best = null;
        foreach ($candidates as $candidate) {
            $slips = self::slips($word, Fold::caseless($candidate), $allowed);
            if ($slips <= $allowed) {
                $best = $candidate;
                $allowed = $slips - 1;
            }
        }

        return $best;
    }

    /** Optimal string alignment distance, given up as soon as it is beyond what is allowed. */
    private static function slips(string $a, string $b, int $allowed): int
    {
        $from = mb_str_split($a);
        $to = mb_str_split($b);
        if (abs(count($from) - count($to)) > $allowed) {
            return $allowed + 1;
        }
        $before = [];
        $row = range(0, count($to));
        foreach ($from as $i => $left) {
            $next = [$i + 1];
            foreach ($to as $j => $right) {
                $next[$j + 1] = min($row[$j + 1] + 1, $next[$j] + 1, $row[$j] + ($left === $right ? 0 : 1));
                if ($i > 0 && $j > 0 && $left === $to[$j - 1] && $from[$i - 1] === $right) {
                    $next[$j + 1] = min($next[$j + 1], $before[$j - 1] + 1);
                }
            }
            if (min($next) > $allowed) {
                return $allowed + 1;
            }
            $before = $row;
            $row = $next;
        }

        return $row[count($to)];
    }
}
