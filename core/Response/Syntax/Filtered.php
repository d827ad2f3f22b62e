<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\ValueLimits;
use SilverParrot\Response\Evaluation\Work;
use SilverParrot\Response\Vocabulary\ChangesText;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\HandlesGaps;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

use function is_string;
use function strlen;

/** A value with a filter behind it. */
final readonly class Filtered extends Expression
{
    /**
     * @param  list<Expression>  $arguments
     * @param  array<string, Expression>  $named
     */
    public function __construct(
        private Span $span,
        public Expression $value,
        public Filter $filter,
        public array $arguments,
        public array $named,
    ) {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [$this->value, ...$this->arguments, ...array_values($this->named)];
    }

    public function prepared(): Closure
    {
        [$filter, $before] = [$this->filter, $this->value->prepared()];
        $standIn = $filter instanceof HandlesGaps ? $filter : null;
        if ($this->arguments === [] && $this->named === []) {
            $changesText = $filter instanceof ChangesText ? $filter : null;

            return static function (EvaluationContext $run) use (
                $filter,
                $before,
                $standIn,
                $changesText,
            ): null|bool|int|string|Value {
                $value = $before($run);
                if ($changesText !== null && is_string($value)) {
                    $run->work(Work::stepsFor($filter, strlen($value)));
                    $value = $changesText->change($value, $run);

                    return strlen($value) > Limits::VALUE && ValueLimits::isTooLong($value)
                        ? ValueLimits::tooLong()
                        : $value;
                }
                if ($value instanceof Gap && ($value->isPending() || $standIn === null)) {
                    return $value;
                }
                $run->work(Work::steps($filter, $value));

                return ValueLimits::of($filter->apply($value, [], [], $run));
            };
        }
        $prepared = static fn (Expression $one): Closure => $one->prepared();
        [$arguments, $named] = [array_map($prepared, $this->arguments), array_map($prepared, $this->named)];
        $spans = array_map(static fn (Expression $one): Span => $one->span(), $this->arguments);

        return static function (EvaluationContext $run) use (
            $filter,
            $before,
            $standIn,
            $arguments,
            $named,
            $spans,
        ): null|bool|int|string|Value {
            $value = $before($run);
            if ($value instanceof Gap && ($value->isPending() || $standIn === null)) {
                return $value;
            }
            if ($standIn?->isNeededFor($value) === false) {
                return $value;
            }
            if ($standIn !== null && $spans !== []) {
                $run->trace?->took($spans[0]);
            }
            $run->work(Work::steps($filter, $value));
            $given = $givenByName = [];
            foreach ($arguments as $argument) {
                $given[] = $one = $argument($run);
                if ($one instanceof Gap) {
                    return $one;
                }
            }
            foreach ($named as $name => $argument) {
                $givenByName[$name] = $one = $argument($run);
                if ($one instanceof Gap) {
                    return $one;
                }
            }

            return ValueLimits::of($filter->apply($value, $given, $givenByName, $run));
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $value = $in->value($this->value);
        $arguments = array_map($in->value(...), $this->arguments);
        $named = array_map($in->value(...), $this->named);
        $in->work(Work::stepsFor($this->filter, $value->bytes));
        $estimate = $this->filter->estimate($value, $arguments, $named, $in);
        $isPassed = ! $this->filter instanceof HandlesGaps;
        foreach ($isPassed || $value->mayBeNoValue() ? [...$arguments, ...array_values($named)] : [] as $argument) {
            $estimate = $estimate->orGap(...$argument->gaps)->failing($isPassed ? $argument->fails : null);
        }

        return $isPassed ? $estimate->orGap(...$value->gaps)->failing($value->fails) : $estimate;
    }

    public function needs(): array
    {
        return $this->value->needs();
    }

    public function countsWith(): array
    {
        return $this->value->countsWith();
    }
}
