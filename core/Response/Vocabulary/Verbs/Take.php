<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Source\Span;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Value;

final readonly class Take implements Verb
{
    public function describe(): Description
    {
        return new Description(
            'take',
            'an amount and a place',
            'the new value',
            '[take 5 from caller.pebbles]',
            'Takes from a counter, a number field or points, and says the new value.',
            also: ['minus', 'subtract', 'decrease', 'spend'],
        );
    }

    public function joint(): string
    {
        return 'from';
    }

    public function placeFirst(): bool
    {
        return false;
    }

    public function counts(): bool
    {
        return true;
    }

    public function estimate(ValueEstimate $place, ?ValueEstimate $amount): ValueEstimate
    {
        $number = $amount?->asNumber();

        return $place->known()->orGap(...$number->gaps ?? [])->failing(Amount::fails($place, $amount));
    }

    public function apply(Assignable $cell, null|bool|int|string|Value $amount, Span $span): null|bool|int|string|Value
    {
        $less = Numbers::combine(Operation::Minus, 0, Amount::honest($amount, $span));

        return $cell->shift(
            is_int($less) || $less instanceof Number ? $less : throw EvaluationFailure::unreadable($span),
            $span,
        );
    }
}
