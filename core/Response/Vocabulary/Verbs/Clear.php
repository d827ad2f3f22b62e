<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

final readonly class Clear implements Verb
{
    public function describe(): Description
    {
        return new Description(
            'clear',
            'a place',
            'nothing',
            '[clear counter.planks]',
            'Puts a counter, field or occasion back to its start, and says nothing.',
            also: ['delete', 'reset', 'empty'],
        );
    }

    public function joint(): string
    {
        return '';
    }

    public function placeFirst(): bool
    {
        return true;
    }

    public function counts(): bool
    {
        return false;
    }

    public function estimate(ValueEstimate $place, ?ValueEstimate $amount): ValueEstimate
    {
        return ValueEstimate::nothing();
    }

    public function apply(Assignable $cell, null|bool|int|string|Value $amount, Span $span): null
    {
        $cell->clear();

        return null;
    }
}
