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
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

final readonly class Short implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'short',
            '',
            'a text',
            '[channel.followers | short] follow, on the water for [channel.uptime | short]',
            'Writes a number, a span or a moment in few letters: 12K, 2h 5m.',
            'passes it on',
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $short = $in->lengths->short();
        // A number so small is written out.
        $isSmall = $value->range !== null && $value->range->digits() <= 3;

        return $value
            ->asText(1, $isSmall ? $value->range->digits() : $short->longest, $short->bytes)
            ->orGap(
                ...$value->isOnly(ValueKind::Number, ValueKind::TimeSpan, ValueKind::Moment) || $value->kinds === []
                    ? []
                    : [GapReason::WrongKind],
            )
            ->failing(
                ! $value->canBeNothing
                && $value->kinds !== []
                && $value->cannotBeRead(
                    static fn (string $text): bool => Number::typed($text) !== null,
                    ValueKind::Number,
                    ValueKind::TimeSpan,
                    ValueKind::Moment,
                )
                    ? CertainFailure::NoNumber
                    : null,
            );
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
        if ($value instanceof TimeSpan) {
            return $run->printer()->span($value, 'unitsNarrow');
        }
        $number = Numbers::of($value);
        if (! $number instanceof Gap) {
            return $run->printer()->compact($number);
        }

        return $value instanceof Moment
            ? $run->printer()->shortMoment($value)
            : new Gap(GapReason::WrongKind, [
                'text' => '“'.mb_substr($run->print($value), 0, 40).'”',
                'wanted' => 'a number, a span or a moment',
            ]);
    }
}
