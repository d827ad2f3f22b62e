<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** A value written out: a number, a text in quotes, yes, no, nothing. */
final readonly class Literal implements Expression, Prepares
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

    public function prepared(): Closure
    {
        $value = $this->value;

        return static fn (): null|bool|int|string|Value => $value;
    }
}
