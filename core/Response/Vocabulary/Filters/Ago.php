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
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

final readonly class Ago implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'ago',
            '',
            'a text',
            'The last leak was [occasion.leak | ago].',
            'Says how far a moment is from now, in its largest unit: 9 days ago, in 5 months.',
            'passes it on',
            also: ['elapsed'],
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        return $value
            ->asText(1, $in->lengths->ago()->longest, $in->lengths->ago()->bytes)
            ->orGap(
                ...$value->isOnly(ValueKind::Moment, ValueKind::TimeSpan) || $value->kinds === []
                    ? []
                    : [GapReason::WrongKind],
            )
            ->failing(
                $value->isNever(ValueKind::TimeSpan) && MomentEstimate::isNone($value, $in->pack->channel->zone)
                    ? CertainFailure::NotAMoment
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
        $now = $run->world->now;
        // A span that ends now says how long ago it began; one that begins now, how far its end is.
        if ($value instanceof TimeSpan) {
            $value = $value->from->millis === $now->millis ? $value->to : $value->from;
        }
        $moment = $value instanceof Moment ? $value : Moments::of($value, $run);

        return match (true) {
            $moment instanceof Moment => $run->printer()->relative($moment, $now),
            $moment instanceof Gap => $moment,
            default => new Gap(GapReason::WrongKind, [
                'text' => '“'.mb_substr($run->print($value), 0, 40).'”',
                'wanted' => 'a moment',
            ]),
        };
    }
}
