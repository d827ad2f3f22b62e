<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Value\ListValue;

final readonly class Reverse extends ListFilter
{
    public function describe(): Description
    {
        return new Description(
            'reverse',
            '',
            'a list',
            '[channel.tags | reverse]',
            'A list from its end to its beginning; of a text, its words.',
            'passes it on',
            also: ['backwards'],
        );
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return self::list($value, $in);
    }

    protected function of(array $items, EvaluationContext $run): ?ListValue
    {
        return $items === [] ? null : new ListValue(array_reverse($items));
    }
}
