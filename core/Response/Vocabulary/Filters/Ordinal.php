<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

final readonly class Ordinal implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'ordinal',
            '',
            'a text',
            'The [caller.lines | ordinal] line of [caller]!',
            'Writes a whole number as a place in a row, as the channel’s language does: 3rd.',
            'passes it on',
            also: ['1st'],
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $number = $value->withoutNothing()->asNumber();

        return $value
            ->asText(1, $in->lengths->ordinal($value->range?->digits() ?? 20))
            ->orGap(...$number->gaps)
            ->failing(
                $value->canBeNothing
                    ? null
                    : $number->fails ?? ($value->isNeverWhole() ? CertainFailure::NotWhole : null),
            );
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): string|Gap|null {
        $number = $value === null ? null : Numbers::whole($value);

        return is_int($number) ? $run->printer()->ordinal($number) : $number;
    }
}
