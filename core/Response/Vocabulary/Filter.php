<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Value\Value;

/** What can stand after a bar. A gap passes by; a filter sees it only if it is an EndsGaps. */
interface Filter
{
    public function describe(): Description;

    /** @return array{int, int} the fewest and the most values it takes */
    public function arity(): array;

    /**
     * What comes of it and how long that gets, known before anybody says a line. The value's own gaps are added by who
     * asks.
     *
     * @param  list<ValueEstimate>  $arguments
     * @param  array<string, ValueEstimate>  $named
     */
    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate;

    /**
     * @param  list<null|bool|int|string|Value>  $arguments
     * @param  array<string, null|bool|int|string|Value>  $named  folded names
     */
    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): null|bool|int|string|Value;
}
