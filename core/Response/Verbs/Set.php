<?php

declare(strict_types=1);

namespace SilverParrot\Response\Verbs;

use SilverParrot\Response\Described;
use SilverParrot\Response\Verb;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

final readonly class Set implements Verb
{
    public function describe(): Described
    {
        return new Described('set', 'a place and a value', 'the new value', '[set caller.boat to words]', 'Puts a value in place of what was kept, and says it.');
    }

    public function joint(): string
    {
        return 'to';
    }

    public function placeFirst(): bool
    {
        return true;
    }

    public function apply(Cell $cell, null|bool|int|string|Value $amount, Span $span): null|bool|int|string|Value
    {
        return $cell->set($amount, $span);
    }
}
