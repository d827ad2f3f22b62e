<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Value\Value;

final readonly class Last extends ListFilter
{
    public function describe(): Description
    {
        return new Description(
            'last',
            '',
            'one of its parts',
            '[channel.tags | last]',
            'The last of a list; of a text, its last word.',
            'gives nothing',
            also: ['end'],
        );
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return self::part($value);
    }

    protected function of(array $items, EvaluationContext $run): null|bool|int|string|Value
    {
        return $items[count($items) - 1] ?? null;
    }
}
