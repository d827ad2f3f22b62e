<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Chat\TypedMoment;
use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\YesNo;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Verb;
use SilverParrot\Source\Span;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

final readonly class Set implements Verb
{
    public function describe(): Description
    {
        return new Description(
            'set',
            'a place and a value',
            'the new value',
            '[set caller.boat to words]',
            'Puts a value in place of what was kept, and says it.',
            also: ['change', 'assign'],
        );
    }

    public function joint(): string
    {
        return 'to';
    }

    public function placeFirst(): bool
    {
        return true;
    }

    public function counts(): bool
    {
        return false;
    }

    public function estimate(ValueEstimate $place, ?ValueEstimate $amount): ValueEstimate
    {
        return self::kept($place, $amount)
            ->failing(self::fails($place, $amount))
            ->orGap(...($place->isOnly(ValueKind::Number) ? $amount?->asNumber() : $amount)->gaps ?? [])
            ->orGap(...$place->isOnly(ValueKind::YesNo) && $amount?->isOnly(ValueKind::YesNo) === false
                ? [GapReason::WrongKind]
                : []);
    }

    /** A text is as long as what it is set to, as far as there is room for it. */
    private static function fails(ValueEstimate $place, ?ValueEstimate $amount): ?CertainFailure
    {
        return match (true) {
            $amount === null => null,
            $place->isOnly(ValueKind::Number) => $amount->asNumber()->fails
                ?? ($place->range !== null && $amount->isNeverWhole() ? CertainFailure::NotWhole : null),
            $place->isOnly(ValueKind::Moment) => $amount->fails
                ?? ($amount->cannotBeRead(
                    TypedMoment::mayBe(...),
                    ValueKind::Moment,
                )
                    ? CertainFailure::NotAMoment
                    : null),
            $place->isOnly(ValueKind::YesNo) => $amount->fails
                ?? (self::isNeverYesOrNo($amount) ? CertainFailure::NotYesOrNo : null),
            default => $amount->fails,
        };
    }

    private static function isNeverYesOrNo(ValueEstimate $amount): bool
    {
        $isNeither = $amount->range !== null && ($amount->range->low > 1 || $amount->range->high < 0);
        $isOtherNumber = $amount->isOnly(ValueKind::Number) && ($isNeither || $amount->isNeverWhole());

        return ! $amount->canBeNothing
            && ($isOtherNumber || $amount->cannotBeRead(YesNo::isWord(...), ValueKind::YesNo, ValueKind::Number));
    }

    private static function kept(ValueEstimate $place, ?ValueEstimate $amount): ValueEstimate
    {
        return $amount !== null && $place->isOnly(ValueKind::Text) ? $place->known()->atMost($amount) : $place->known();
    }

    public function apply(Assignable $cell, null|bool|int|string|Value $amount, Span $span): null|bool|int|string|Value
    {
        return $cell->set($amount, $span);
    }
}
