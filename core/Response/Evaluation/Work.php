<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\Laborious;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

/** How much work a filter makes. */
final class Work
{
    /** Bytes of a text that are gone over in a step. */
    private const BYTES_A_STEP = 100;

    /** @return int steps that a filter takes for a value */
    public static function steps(Filter $filter, null|bool|int|string|Value $value): int
    {
        return self::stepsFor($filter, match (true) {
            is_string($value) => strlen($value),
            $value instanceof ListValue => self::bytes($value),
            default => 0,
        });
    }

    public static function stepsFor(Filter $filter, int $bytes): int
    {
        return $filter instanceof Laborious ? $filter->steps($bytes) : 1 + intdiv($bytes, self::BYTES_A_STEP);
    }

    private static function bytes(ListValue $items): int
    {
        // Whatever else can be in a list is said in some twenty letters.
        $bytes = 20 * count($items->items);
        foreach ($items->items as $item) {
            $bytes += is_string($item) ? strlen($item) : 0;
        }

        return $bytes;
    }
}
