<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

/**
 * How little a line looks as if a phrase that stands in it were meant (common practice: what is long, talks to somebody
 * else, quotes or passes something on is rarely a question to the parrot).
 */
final class LooksFalse
{
    private const TO_SOMEBODY = 12;

    private const PASSED_ON = 8;

    /** @return int more for what looks less meant; one for each word beside the phrase */
    public static function score(string $phrase, string $line): int
    {
        $words = static fn (string $text): int => preg_match_all('/[\p{L}\p{N}]+/u', $text) ?: 0;

        return max(0, $words($line) - $words($phrase))
            + (preg_match('/(?<![\p{L}\p{N}])@[\p{L}\p{N}_]/u', $line) === 1 ? self::TO_SOMEBODY : 0)
            + (preg_match('~://|^\s*>|[“”„«»"]~u', $line) === 1 ? self::PASSED_ON : 0);
    }
}
