<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Value;

/** Values as moments. */
final class Moments
{
    public static function of(null|bool|int|string|Value $value, EvaluationContext $run): Moment|Gap|null
    {
        return match (true) {
            $value === null, $value instanceof Moment, $value instanceof Gap => $value,
            is_string($value) => Moment::fromIso($value, $run->world->pack->channel->zone)
                ?? new Gap(GapReason::WrongKind, [
                    'text' => '“'.mb_substr($value, 0, 40).'”',
                    'wanted' => 'a moment like "2026-12-24 18:00"',
                ]),
            default => new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'a moment']),
        };
    }
}
