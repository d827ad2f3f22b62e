<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** A name that nothing has. It is a finding already; said all the same, it is a gap. */
final readonly class UnknownName extends Expression
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
        $gap = new Gap(GapReason::Unknown, ['name' => $this->name]);

        return static fn (): Gap => $gap;
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::nothing()->orGap(GapReason::Unknown);
    }
}
