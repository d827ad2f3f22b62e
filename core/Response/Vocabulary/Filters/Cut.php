<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Source\Truncator;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

final readonly class Cut implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'cut',
            'a whole number from 1 on',
            'a text',
            '[words | cut 20]',
            'Shortens it to so many characters as people count them, the last being “…” where something was cut off.',
            'passes it on',
            also: ['shorten', 'truncate', 'limit'],
        );
    }

    public function arity(): array
    {
        return [1, 1];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $most = $arguments[0]->asNumber();
        $length = max(1, $most->range->high ?? $value->longest);
        $cut =
            $value->longest <= $length && $value->isOnly(ValueKind::Text)
                ? $value
                : $value->asText(
                    min($value->shortest, $length),
                    min($value->longest, $length),
                    $value->bytes + strlen('…'),
                );

        return $cut->orGap(...$most->gaps, ...(($most->range->low ?? 0) < 1 ? [GapReason::WrongKind] : []))
            ->failing($most->range !== null && $most->range->high < 1 ? CertainFailure::BadCut : null);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): string|Gap|null {
        $length = Numbers::whole($arguments[0] ?? null);
        if ($length instanceof Gap || $length < 1) {
            return $length instanceof Gap
                ? $length
                : new Gap(GapReason::WrongKind, ['text' => (string) $length, 'wanted' => 'a number from 1 on']);
        }

        return $value === null ? null : Truncator::toGraphemes($run->print($value), $length);
    }
}
