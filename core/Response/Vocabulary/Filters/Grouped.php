<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** `number` */
final readonly class Grouped implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'number',
            '',
            'a text',
            '[channel.followers | number] follow the cove',
            'Writes a number as the channel’s language groups it: 12,345.',
            'passes it on',
            also: ['format', 'thousands'],
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $number = $value->withoutNothing()->asNumber();
        $whole =
            $in->lengths->grouped($number->range?->digits() ?? Limits::DIGITS)
            + ($number->range === null ? 2 + Number::DECIMALS : 1);

        return $value
            ->asText(1, $whole)
            ->orGap(...$number->gaps)
            ->failing($value->canBeNothing ? null : $number->fails);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): string|Gap|null {
        if ($value === null) {
            return null;
        }
        $number = Numbers::of($value);

        return $number instanceof Gap ? $number : $run->printer()->grouped($number);
    }
}
