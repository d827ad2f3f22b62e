<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Lengths;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Response\Vocabulary\TakesWords;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Range;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/** `in days`: calendar days in the channel's zone; hours and minutes by the clock. */
final readonly class InUnit implements Filter, TakesWords
{
    public function describe(): Description
    {
        return new Description(
            'in',
            'minutes, hours or days',
            'a whole number',
            '[since occasion.leak | in days]',
            'Counts a span in one unit, days by the calendar.',
            'passes it on',
        );
    }

    public function arity(): array
    {
        return [1, 1];
    }

    public function words(): array
    {
        return ['minutes', 'hours', 'days'];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $most = Lengths::DAYS * match ($arguments[0]->written) {
            'days' => 1,
            'hours' => 24,
            default => 1_440,
        };

        return $value
            ->asWhole(new Range(0, $most))
            ->orGap(...$value->isOnly(ValueKind::TimeSpan) || $value->kinds === [] ? [] : [GapReason::WrongKind])
            ->failing($value->isNever(ValueKind::TimeSpan) ? CertainFailure::NotALength : null);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): int|Gap|null {
        if (! $value instanceof TimeSpan) {
            return $value === null
                ? null
                : new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'a span like “since occasion.leak”']);
        }

        return match ($arguments[0] ?? null) {
            'minutes' => intdiv($value->millis(), 60_000),
            'hours' => intdiv($value->millis(), 3_600_000),
            'days' => self::days($value, $run->printer()->zone()),
            default => new Gap(GapReason::WrongKind, ['text' => 'that unit', 'wanted' => 'minutes, hours or days']),
        };
    }

    private static function days(TimeSpan $span, \DateTimeZone $zone): int
    {
        // Midnights between, whatever summer time does to the hours.
        $day = static fn (\DateTimeImmutable $date): int => (int) floor(
            ($date->getTimestamp() + $date->getOffset()) / 86_400,
        );

        return $day($span->to->in($zone)) - $day($span->from->in($zone));
    }
}
