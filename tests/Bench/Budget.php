<?php

declare(strict_types=1);

namespace Tests\Bench;

/** What something may take at most, and what it takes: the median of several rounds, in milliseconds. */
final class Budget
{
    private int $missed = 0;

    /** @param  callable(int): mixed  $work  is given a running number */
    public function of(string $what, float $most, int $times, callable $work, int $rounds = 9): void
    {
        $median = $this->median($times, $work, $rounds);
        $this->missed += $median > $most ? 1 : 0;
        printf("%-60s %8.4f ms of at most %.4f%s\n", $what, $median, $most, $median > $most ? ', MISSED' : '');
    }

    /** @param  callable(int): mixed  $work */
    public function median(int $times, callable $work, int $rounds = 9): float
    {
        $work(0);
        $took = [];
        for ($round = 0; $round < $rounds; $round++) {
            $since = hrtime(true);
            for ($i = 1; $i <= $times; $i++) {
                $work($round * $times + $i);
            }
            $took[] = (hrtime(true) - $since) / 1e6 / $times;
        }
        sort($took);

        return $took[intdiv($rounds, 2)];
    }

    public function exitCode(): int
    {
        return $this->missed === 0 ? 0 : 1;
    }
}
