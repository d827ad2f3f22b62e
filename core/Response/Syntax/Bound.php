<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** A name that an earlier slot gave with `as`. Nothing, where that slot was in a branch that was not taken. */
final readonly class Bound implements Expression
{
    public function __construct(private Span $span, public string $name)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        return $run->bound($this->name);
    }
}
