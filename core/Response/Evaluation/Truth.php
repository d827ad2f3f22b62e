<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

use function is_string;

/** Whether there is a value: not nothing, not blank text, not `no`, not an empty list. 0 is a value. */
final class Truth
{
    public static function of(null|bool|int|string|Value $value): bool
    {
        return match (true) {
            is_string($value) => ! Fold::isBlank($value),
            is_bool($value) => $value,
            $value === null, $value instanceof Gap => false,
            $value instanceof ListValue => $value->items !== [],
            default => true,
        };
    }
}
