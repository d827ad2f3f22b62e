<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\MomentEstimate;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Moments;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Value;

final readonly class Date implements Filter
{
    private const LONGEST = 60;

    public function describe(): Description
    {
        return new Description(
            'date',
            'a pattern of letters, as Unicode has them: d day, MMM month, y year, EEE weekday, HH:mm time',
            'a text',
            '[occasion.leak | date "d MMM y"]',
            'Writes a moment by a pattern, in the channel’s language and zone; without a pattern, the day.',
            'passes it on',
            also: ['format', 'time', 'clock'],
        );
    }

    public function arity(): array
    {
        return [0, 1];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $pattern = isset($arguments[0]) ? $arguments[0]->written : '';
        $length = is_string($pattern)
            ? $in->lengths->date(mb_substr($pattern, 0, self::LONGEST))
            : ValueEstimate::text(0, Limits::READING);

        return $value
            ->asText($length->shortest, $length->longest, $length->bytes)
            ->orGap(...$value->isOnly(ValueKind::Moment) || $value->kinds === [] ? [] : [GapReason::WrongKind])
            ->failing(MomentEstimate::isNone($value, $in->pack->channel->zone) ? CertainFailure::NotAMoment : null);
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
        $moment = Moments::of($value, $run);
        $pattern = isset($arguments[0]) ? $run->print($arguments[0]) : '';
        if (mb_strlen($pattern) > self::LONGEST) {
            return new Gap(GapReason::WrongKind, [
                'text' => 'this pattern',
                'wanted' => 'one of at most '.self::LONGEST.' letters',
            ]);
        }

        return match (true) {
            $moment instanceof Moment => $run->printer()->date($moment, $pattern),
            $moment instanceof Gap => $moment,
            default => new Gap(GapReason::WrongKind, [
                'text' => '“'.mb_substr($run->print($value), 0, 40).'”',
                'wanted' => 'a moment',
            ]),
        };
    }
}
