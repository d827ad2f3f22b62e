<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Truth;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;

/** `not a`: whether there is no value. */
final readonly class Not extends Expression
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

        return static function (EvaluationContext $run) use ($of): bool|Gap {
            $value = $of($run);

            return $value instanceof Gap ? $value : ! Truth::of($value);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $value = $in->value($this->value);

        return $in->lengths->yesNo()->orGap(...$value->gaps)->failing($value->fails);
    }

    public function thereWhen(bool $holds): array
    {
        return $this->value->thereWhen(! $holds);
    }
}
