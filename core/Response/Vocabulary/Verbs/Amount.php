<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** What may be added or taken: a number that is not negative, or the verb would do the opposite of what it says. */
final class Amount
{
    public static function honest(null|bool|int|string|Value $value, Span $span): int|Number
    {
        $number = Numbers::of($value);
        if ($number instanceof Gap) {
            throw EvaluationFailure::gap($number, $span);
        }
        if (Number::compare($number, 0) < 0) {
            throw EvaluationFailure::negative($number, $span);
        }

        return $number;
    }

    /** Why a place can never be raised or lowered by this amount; null where it may. */
    public static function fails(ValueEstimate $place, ?ValueEstimate $amount): ?CertainFailure
    {
        $number = $amount?->asNumber();
        $written = $amount?->written;

        return match (true) {
            $place->known()->isNever(ValueKind::Number) => CertainFailure::NotANumberField,
            $number?->fails !== null => $number->fails,
            ($number->range->high ?? 0) < 0,
            $written instanceof Number && Number::compare($written, 0) < 0 => CertainFailure::Negative,
            $place->range !== null && $amount?->isNeverWhole() === true => CertainFailure::NotWhole,
            default => null,
        };
    }
}
