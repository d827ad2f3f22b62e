<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Source\Span;
use SilverParrot\Value\Number;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

/** A value written out: a number, a text in quotes, yes, no, nothing. */
final readonly class Literal extends Expression
{
    public function __construct(private Span $span, public null|bool|int|string|Value $value)
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
        $value = $this->value;

        return static fn (): null|bool|int|string|Value => $value;
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $value = $this->value;

        return match (true) {
            is_string($value) => ValueEstimate::written($value),
            is_int($value) => ValueEstimate::whole(new Range($value, $value)),
            is_bool($value) => $in->lengths->yesNo(),
            $value instanceof Number => ValueEstimate::exactly($value),
            default => ValueEstimate::nothing(),
        };
    }

    public function isNothing(): bool
    {
        return $this->value === null;
    }
}
