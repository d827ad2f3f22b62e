<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Value;

/** `-a` */
final readonly class Minus implements Expression
{
    public function __construct(private Span $span, public Expression $value)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): int|Value
    {
        return Numbers::combine(Operation::Minus, 0, $this->value->evaluate($run));
    }
}
