<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** A name that an earlier slot gave with `as`. Nothing, where that slot was in a branch that was not taken. */
final readonly class Variable extends Expression
{
    public function __construct(private Span $span, public string $name)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [];
    }

    public function prepared(): Closure
    {
        $name = $this->name;

        return static fn (EvaluationContext $run): null|bool|int|string|Value => $run->bound($name);
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        return $in->bound($this->name);
    }

    public function key(): string
    {
        return "as {$this->name}";
    }

    public function isPerson(): bool
    {
        return true;
    }

    public function saysOwnText(): bool
    {
        return false;
    }
}
