<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Sum;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Source\Span;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

/** `-a` */
final readonly class Minus extends Expression
{
    public function __construct(private Span $span, public Expression $value)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [$this->value];
    }

    public function prepared(): Closure
    {
        $of = $this->value->prepared();

        return static fn (EvaluationContext $run): int|Value => Numbers::combine(Operation::Minus, 0, $of($run));
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        return Sum::of(Operation::Minus, ValueEstimate::whole(new Range(0, 0)), $in->value($this->value), $in);
    }
}
