<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

/** How many commands one answer has run: commands that run several which run several would never end. */
final class RunCount
{
    /** Of one answer. */
    public const MOST = 20;

    private int $ran = 0;

    /** @return bool whether one more may be run */
    public function one(): bool
    {
        return ++$this->ran <= self::MOST;
    }
}
