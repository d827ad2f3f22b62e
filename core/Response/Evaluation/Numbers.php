<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\LengthOfTime;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** Values as numbers. Whole ones take the fast path and never touch the exact arithmetic. */
final class Numbers
{
    public static function combine(
        Operation $operation,
        null|bool|int|string|Value $left,
        null|bool|int|string|Value $right,
    ): int|Number|Gap {
        if (! is_int($left) || ! is_int($right)) {
            $left = self::of($left);
            $right = self::of($right);
            if ($left instanceof Gap || $right instanceof Gap) {
                return $left instanceof Gap ? $left : $right;
            }
        }
        if ($right === 0 && $operation->needsDivisor()) {
            return new Gap(GapReason::DivisionByZero);
        }
        if (is_int($left) && is_int($right)) {
            $whole =
                $operation === Operation::Divided ? Number::quotient($left, $right) : $operation->whole($left, $right);
            if ($whole !== null) {
                return $whole;
            }
        }

        return Number::of($operation->exact(Number::exactOf($left), Number::exactOf($right)));
    }

    public static function of(null|bool|int|string|Value $value): int|Number|Gap
    {
        return match (true) {
            is_int($value), $value instanceof Number, $value instanceof Gap => $value,
            is_string($value) => Number::typed($value)
                ?? (Fold::isBlank($value)
                    ? new Gap(GapReason::NothingToCount)
                    : new Gap(GapReason::NoNumber, ['text' => mb_substr($value, 0, 40)])),
            $value === null => new Gap(GapReason::NothingToCount),
            $value instanceof TimeSpan => intdiv($value->millis(), 1000),
            default => new Gap(GapReason::WrongKind, [
                'text' => is_bool($value) ? 'yes or no' : 'this',
                'wanted' => 'a number',
            ]),
        };
    }

    public static function whole(null|bool|int|string|Value $value): int|Gap
    {
        $number = self::of($value);

        return $number instanceof Number ? new Gap(GapReason::NotWhole, ['text' => Number::digits($number)]) : $number;
    }

    public static function orZero(null|bool|int|string|Value $value): int|Number
    {
        return is_int($value) || $value instanceof Number ? $value : 0;
    }

    /** A moment later or earlier by a length of time, days and longer by the calendar of the zone. */
    public static function shifted(
        Operation $operation,
        Moment $moment,
        null|bool|int|string|Value $length,
        \DateTimeZone $zone,
    ): Moment|Gap {
        $typed = is_string($length) ? LengthOfTime::typed($length) : null;
        $shifted = match (true) {
            $operation !== Operation::Plus && $operation !== Operation::Minus => null,
            $typed !== null => $operation === Operation::Plus
                ? $typed->after($moment, $zone)
                : $typed->before($moment, $zone),
            $length instanceof TimeSpan => $moment->plusMillis(
                ($operation === Operation::Plus ? 1 : -1) * $length->millis(),
            ),
            default => null,
        };
        if ($shifted === null) {
            return $length instanceof Gap
                ? $length
                : new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'a length of time like "2 days"']);
        }

        return $shifted->canBeWritten() ? $shifted : new Gap(GapReason::TooFar);
    }
}
