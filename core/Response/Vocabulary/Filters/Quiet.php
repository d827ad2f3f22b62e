<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\PrintsNothing;
use SilverParrot\Value\Value;

/** Only printing is quiet: the slot sees to that, the value passes by, so that `as` can keep it. */
final readonly class Quiet implements Filter, PrintsNothing
{
    public function describe(): Description
    {
        return new Description(
            'quiet',
            '',
            'the value',
            '[add 1 to counter.planks | quiet]Noted.',
            'Prints nothing, and keeps the value for “as”.',
            'passes it on',
            also: ['silent', 'hide'],
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return $value;
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): null|bool|int|string|Value {
        return $value;
    }
}
