<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Value\GapReason;
use SilverParrot\Value\LengthOfTime;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Range;

/** What comes of calculating with two values. */
final class Sum
{
    public static function of(
        Operation $operation,
        ValueEstimate $left,
        ValueEstimate $right,
        EstimateContext $in,
    ): ValueEstimate {
        $moment = in_array(ValueKind::Moment, $left->kinds, true)
            ? self::shifted($operation, $left, $right, $in)
            : null;
        if ($moment !== null && $left->isOnly(ValueKind::Moment)) {
            return $moment;
        }
        [$left, $right] = [$left->asNumber(), $right->asNumber()];
        $gaps = [...$left->gaps, ...$right->gaps];
        if (
            $operation->needsDivisor()
            && ($right->range === null ? ! $right->written instanceof Number : $right->range->contains(0))
        ) {
            $gaps[] = GapReason::DivisionByZero;
        }
        $isNought =
            $operation->needsDivisor()
            && $right->range !== null
            && $right->range->low === 0
            && $right->range->high === 0;
        [$a, $b] = [$left->range, $right->range];
        $range = $a === null || $b === null ? null : match ($operation) {
            Operation::Plus => $a->plus($b),
            Operation::Minus => $a->plus($b->negated()),
            Operation::Times => $a->times($b),
            Operation::Modulo => new Range(min(0, $b->low), max(0, $b->high)),
            Operation::Divided => null,
        };
        $number = match (true) {
            $range !== null => ValueEstimate::whole($range),
            // Divided by a whole number, it gets no more digits before its point.
            $a !== null && $b !== null => ValueEstimate::number($a->digits() + 2 + Number::DECIMALS),
            default => ValueEstimate::number(),
        };

        $number = $number
            ->orGap(...$gaps)
            ->failing($left->fails ?? ($right->fails ?? ($isNought ? CertainFailure::DivisionByZero : null)));

        return $moment === null ? $number : $number->orElse($moment);
    }

    /** A moment and a length of time. */
    private static function shifted(
        Operation $operation,
        ValueEstimate $left,
        ValueEstimate $right,
        EstimateContext $in,
    ): ValueEstimate {
        $isLength = is_string($right->written)
            ? LengthOfTime::typed($right->written) !== null
            : $right->isOnly(ValueKind::TimeSpan) && ! $right->canBeNothing;
        $isShift = $operation === Operation::Plus || $operation === Operation::Minus;

        $isReadable = static fn (string $text): bool => LengthOfTime::typed($text) !== null;
        $isNever = ! $isShift || $right->cannotBeRead($isReadable, ValueKind::TimeSpan);

        return $in->lengths
            ->moment()
            ->orGap(
                GapReason::TooFar,
                ...$left->gaps,
                ...$left->canBeNothing ? [GapReason::NothingToCount] : [],
                ...$right->gaps,
                ...$isLength && $isShift ? [] : [GapReason::WrongKind],
            )
            ->failing($left->fails ?? ($right->fails ?? ($isNever ? CertainFailure::NotALength : null)));
    }
}
