<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `not a`: whether there is no value. */
final readonly class Not implements Expression
{
    public function __construct(private Span $span, public Expression $value)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): bool|Gap
    {
        $value = $this->value->evaluate($run);

        return $value instanceof Gap ? $value : ! Truth::of($value);
    }
}
