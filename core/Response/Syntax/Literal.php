<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Outlook;
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

    public function outlook(EstimateContext $in): Outlook
    {
        $value = $this->value;

        return match (true) {
            is_string($value) => Outlook::written($value),
            is_int($value) => Outlook::whole(new Range($value, $value)),
            is_bool($value) => $in->lengths->yesNo(),
            $value instanceof Number => Outlook::exactly($value),
            default => Outlook::nothing(),
        };
    }

    public function isNothing(): bool
    {
        return $this->value === null;
    }
}
