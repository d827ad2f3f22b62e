<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
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
    ): int|Number|Moment|Gap {
        if (! is_int($left) || ! is_int($right)) {
            if ($left instanceof Moment) {
                return self::shiftMoment($operation, $left, $right);
            }
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

    private static function shiftMoment(
        Operation $operation,
        Moment $moment,
        null|bool|int|string|Value $length,
    ): Moment|Gap {
        $seconds = match (true) {
            is_string($length) => TimeSpan::secondsOf($length),
            $length instanceof TimeSpan => intdiv($length->millis(), 1000),
            default => null,
        };
        if ($seconds === null || ($operation !== Operation::Plus && $operation !== Operation::Minus)) {
            return $length instanceof Gap
                ? $length
                : new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'a length of time like "2 days"']);
        }

        $shifted = $moment->plusMillis(($operation === Operation::Plus ? 1 : -1) * $seconds * 1000);

        return $shifted->canBeWritten() ? $shifted : new Gap(GapReason::TooFar);
    }
}
