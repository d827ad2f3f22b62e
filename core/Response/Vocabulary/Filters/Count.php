<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Value\Range;

final readonly class Count extends ListFilter
{
    public function describe(): Description
    {
        return new Description(
            'count',
            '',
            'a whole number',
            '[commands | count] commands',
            'How many there are in a list; of a text, how many words.',
            'gives 0',
            also: ['length', 'many'],
        );
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::whole(Range::ofACount());
    }

    protected function of(array $items, EvaluationContext $run): int
    {
        return count($items);
    }
}
