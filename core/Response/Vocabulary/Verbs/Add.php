<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

final readonly class Add implements Verb
{
    public function describe(): Description
    {
        return new Description(
            'add',
            'an amount and a place',
            'the new value',
            '[add 1 to counter.planks]',
            'Adds to a counter, a number field or points, and says the new value.',
            also: ['plus', 'increase', 'increment', 'count'],
        );
    }

    public function joint(): string
    {
        return 'to';
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
        return $cell->shift(Amount::honest($amount, $span), $span);
    }
}
