<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

/** How large a value may get, and what it costs to make it: looked at before anything is built, and after. */
final class ValueLimits
{
    /** Bytes that any text of the longest kind fits into (RFC 3629): fewer need no counting of characters. */
    public const BYTES = 4 * Limits::VALUE;

    public static function isTooLong(string $text): bool
    {
        return strlen($text) > Limits::VALUE && mb_strlen($text) > Limits::VALUE;
    }

    public static function tooLong(): Gap
    {
        return new Gap(GapReason::TooLong, ['limit' => number_format(Limits::VALUE)]);
    }

    /** The value, where it is no larger than any may be. */
    public static function of(null|bool|int|string|Value $value): null|bool|int|string|Value
    {
        return match (true) {
            is_string($value) => self::isTooLong($value) ? self::tooLong() : $value,
            $value instanceof ListValue => self::list($value),
            default => $value,
        };
    }

    private static function list(ListValue $items): ListValue|Gap
    {
        if (count($items->items) > Limits::PARTS) {
            return new Gap(GapReason::TooMany, ['limit' => number_format(Limits::PARTS)]);
        }
        foreach ($items->items as $item) {
            if (is_string($item) && self::isTooLong($item)) {
                return self::tooLong();
            }
        }

        return $items;
    }
}
