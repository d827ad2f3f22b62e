<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

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
}
