<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Value\Value;

final readonly class First extends ListFilter
{
    public function describe(): Description
    {
        return new Description(
            'first',
            '',
            'one of its parts',
            '[channel.tags | first]',
            'The first of a list; of a text, its first word.',
            'gives nothing',
            also: ['begin'],
        );
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return self::part($value);
    }

    protected function of(array $items, EvaluationContext $run): null|bool|int|string|Value
    {
        return $items[0] ?? null;
    }
}
