<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** `either "port", "starboard"`: one of them, each equally likely; the others are not looked at. */
final readonly class Either extends Expression
{
    /** @param  non-empty-list<Expression>  $options */
    public function __construct(private Span $span, public array $options)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return $this->options;
    }

    public function prepared(): Closure
    {
        $last = count($this->options) - 1;
        $span = $this->span;
        $spans = array_map(static fn (Expression $one): Span => $one->span(), $this->options);
        $options = array_map(static fn (Expression $one): Closure => $one->prepared(), $this->options);

        return static function (EvaluationContext $run) use (
            $last,
            $span,
            $spans,
            $options,
        ): null|bool|int|string|Value {
            $place = $run->draw($span)->getInt(0, $last);
            $run->trace?->took($spans[$place]);

            return $options[$place]($run);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $estimates = array_map($in->value(...), $this->options);

        return array_reduce(
            array_slice($estimates, 1),
            static fn (ValueEstimate $one, ValueEstimate $other): ValueEstimate => $one->orElse($other),
            $estimates[0],
        );
    }
}
