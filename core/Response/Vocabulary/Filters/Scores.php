<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

final readonly class Scores implements Filter
{
    /** “20. ”, a space and 15 digits, and what stands between two of them. */
    private const AROUND = 4 + 1 + 15 + 2;

    public function describe(): Description
    {
        return new Description(
            'scores',
            '',
            'a text',
            '[top 3 by pebbles | scores]',
            'Writes who has the most with place and number: 1. Odo 40, 2. Pia 31.',
            'passes it on',
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $around = ($value->many->most ?? 0) * self::AROUND;

        return $value
            ->asText(0, ($value->many->together ?? 0) + $around, ($value->many->bytes ?? 0) + $around)
            ->orGap(GapReason::WrongKind)
            ->failing($value->isNever(ValueKind::Items) ? CertainFailure::NotAList : null);
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
        if (! $value instanceof ListValue || count($value->scores) < count($value->items)) {
            return new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'a list like “top 3 by pebbles”']);
        }
        $places = [];
        foreach ($value->items as $place => $item) {
            $places[] = ($place + 1).'. '.$run->print($item).' '.$run->print($value->scores[$place]);
        }

        return implode(', ', $places);
    }
}
