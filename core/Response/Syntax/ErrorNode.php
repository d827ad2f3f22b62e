<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\LengthBounds;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Source\Span;

/** A slot that could not be read: its findings say why. */
final readonly class ErrorNode extends Filled
{
    public function __construct(public Span $span)
    {
    }

    public function prepared(): Closure
    {
        $span = $this->span;

        return static fn (): never => throw EvaluationFailure::unreadable($span);
    }

    public function extent(EstimateContext $in): LengthBounds
    {
        return LengthBounds::none();
    }
}
