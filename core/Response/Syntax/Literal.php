<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** A value written out: a number, a text in quotes, yes, no, nothing. */
final readonly class Literal implements Expression
{
    public function __construct(private Span $span, public null|bool|int|string|Value $value)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        return $this->value;
    }
}
