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
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Number;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

final readonly class Round implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'round',
            'how many decimals, none as by default',
            'a number',
            '[counter.planks / 3 | round 1] planks a day',
            'Rounds a number, halves away from zero.',
            'passes it on',
            also: ['decimals'],
        );
    }

    public function arity(): array
    {
        return [0, 1];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $number = $value->withoutNothing()->asNumber();
        $places = ($arguments[0] ?? null)?->asNumber()->range ?? (isset($arguments[0]) ? null : new Range(0, 0));
        $rounded = $number->range !== null ? $number : ValueEstimate::number($number->longest)->orGap(...$number->gaps);
        $isBad = $places === null || $places->low < 0 || $places->high > Number::DECIMALS;

        $isNeverOne = $places !== null && ($places->high < 0 || $places->low > Number::DECIMALS);
        $fails = $isNeverOne ? CertainFailure::BadPlaces : $number->fails;

        return ($value->canBeNothing ? $rounded->orNothing() : $rounded)
            ->orGap(...$isBad ? [GapReason::WrongKind] : [])
            ->failing($value->canBeNothing ? null : $fails);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): int|Number|Gap|null {
        if ($value === null) {
            return null;
        }
        $number = Numbers::of($value);
        $decimals = Numbers::whole($arguments[0] ?? 0);
        if ($number instanceof Gap || $decimals instanceof Gap) {
            return $number instanceof Gap ? $number : $decimals;
        }
        if ($decimals < 0 || $decimals > Number::DECIMALS) {
            return new Gap(GapReason::WrongKind, [
                'text' => (string) $decimals,
                'wanted' => 'a number of decimals from 0 to '.Number::DECIMALS,
            ]);
        }

        return Number::rounded($number, $decimals);
    }
}
