<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** A name that nothing has. It is a finding already; said all the same, it is a gap. */
final readonly class UnknownName implements Expression
{
    public function __construct(private Span $span, public string $name)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): Gap
    {
        return new Gap(GapReason::Unknown, ['name' => $this->name]);
    }
}
