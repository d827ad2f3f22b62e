<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\EndsGaps;
use SilverParrot\Response\Evaluation\Bounds;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Filter;
use SilverParrot\Response\Filters\TextFilter;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

use function is_string;
use function strlen;

/** A value with a filter behind it. */
final readonly class Filtered implements Expression, Prepares
{
    /**
     * @param  list<Expression>  $arguments
     * @param  array<string, Expression>  $named
     */
    public function __construct(private Span $span, public Expression $value, public Filter $filter, public array $arguments, public array $named)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        $value = $this->value->evaluate($run);
        if ($value instanceof Gap && ($value->isPending() || ! $this->filter instanceof EndsGaps)) {
            return $value;
        }
        $run->work(Bounds::steps($this->filter, $value));
        if ($this->arguments === [] && $this->named === []) {
            return Bounds::of($this->filter->apply($value, [], [], $run));
        }
        $arguments = [];
        foreach ($this->arguments as $argument) {
            $arguments[] = $given = $argument->evaluate($run);
            if ($given instanceof Gap) {
                return $given;
            }
        }
        $named = [];
        foreach ($this->named as $name => $argument) {
            $named[$name] = $given = $argument->evaluate($run);
            if ($given instanceof Gap) {
                return $given;
            }
        }

        return Bounds::of($this->filter->apply($value, $arguments, $named, $run));
    }

    public function prepared(): Closure
    {
        if ($this->arguments !== [] || $this->named !== []) {
            return $this->evaluate(...);
        }
        $filter = $this->filter;
        $before = Preparing::value($this->value);
        $endsGaps = $filter instanceof EndsGaps;
        if ($filter instanceof TextFilter) {
            // Most filters change a text, and most values are one: nothing else need be looked at.
            return static function (Run $run) use ($filter, $before): null|bool|int|string|Value {
                $value = $before($run);
                if (! is_string($value)) {
                    if ($value instanceof Gap) {
                        return $value;
                    }
                    $run->work(Bounds::steps($filter, $value));

                    return Bounds::of($filter->apply($value, [], [], $run));
                }
                $run->work(Bounds::stepsFor($filter, strlen($value)));
                $changed = $filter->change($value, $run);

                return strlen($changed) > Limits::VALUE && Bounds::isTooLong($changed) ? Bounds::tooLong() : $changed;
            };
        }

        return static function (Run $run) use ($filter, $before, $endsGaps): null|bool|int|string|Value {
            $value = $before($run);
            if ($value instanceof Gap && ($value->isPending() || ! $endsGaps)) {
                return $value;
            }
            $run->work(Bounds::steps($filter, $value));

            return Bounds::of($filter->apply($value, [], [], $run));
        };
    }
}
