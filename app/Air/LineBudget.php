<?php

declare(strict_types=1);

namespace App\Air;

/** So many lines a second, on a clock that only goes on; what is not used is not saved up. */
final class LineBudget
{
    private const NANOS = 1_000_000_000;

    private int $second = 0;

    private int $used = 0;

    /** Seconds after one another in which there was too much. */
    public int $exceeded = 0;

    public function __construct(private readonly int $aSecond)
    {
    }

    /** @param  int  $now  nanoseconds, as hrtime(true) gives them */
    public function take(int $now): bool
    {
        $second = intdiv($now, self::NANOS);
        if ($second !== $this->second) {
            $this->exceeded = $this->used > $this->aSecond && $second === $this->second + 1 ? $this->exceeded + 1 : 0;
            $this->second = $second;
            $this->used = 0;
        }

        return ++$this->used <= $this->aSecond;
    }
}
