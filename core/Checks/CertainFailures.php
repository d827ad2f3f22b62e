<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimatedCondition;
use SilverParrot\Response\Analysis\EstimatedSlot;
use SilverParrot\Source\Finding;

/** Slots and conditions whose value can never be had. */
final class CertainFailures
{
    /** @return list<Finding> of those that a condition decides, or of the others */
    public static function in(CheckContext $at, AbstractCheck $check, bool $isInBranch): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $slots = array_filter(
                $text->estimate->slots,
                static fn (EstimatedSlot $one): bool => ! $one->slot->isQuiet || $one->slot->as === '',
            );
            foreach ([...$slots, ...$text->estimate->conditions] as $one) {
                $why = $one->isInBranch === $isInBranch ? $one->estimate->fails : null;
                if ($why !== null) {
                    [$reason, $mend] = self::words($why);
                    $findings[] = new Finding(
                        $check,
                        $one instanceof EstimatedCondition ? $one->span : $one->slot->span,
                        $text->at,
                        ['why' => $reason, 'mend' => $mend],
                    );
                }
            }
        }

        return $findings;
    }

    /** @return array{string, string} why, and what to do */
    private static function words(CertainFailure $why): array
    {
        return match ($why) {
            CertainFailure::DivisionByZero => ['it divides by 0', 'Divide by something else'],
            CertainFailure::NoNumber => [
                'it counts with what is no number',
                'Write texts side by side, and count with numbers',
            ],
            CertainFailure::NothingToCount => ['there is nothing to count with', 'Put a number there'],
            CertainFailure::NotAMoment => [
                'a moment is needed, and this is none',
                'Use a moment like “now”, an occasion, or a day like "2027-05-01"',
            ],
            CertainFailure::NotALength => [
                'a moment can only be moved by a length of time',
                'Write one like "2 days", or “since” and “until” for the time between two moments',
            ],
            CertainFailure::NotAList => [
                'this needs a list with scores',
                'Put it behind a ranking: [top 3 by pebbles | scores]',
            ],
            CertainFailure::NotAnAddress => ['this is no address', 'Write a whole one, like "cove.example/map"'],
            CertainFailure::BadRoll => ['a roll goes from 1 to something more', 'Write a number of 1 or more'],
            CertainFailure::BadTop => ['a ranking has 1 to 20 places', 'Write a number from 1 to 20'],
            CertainFailure::BadCut => ['nothing would be left', 'Cut to 1 letter or more'],
            CertainFailure::BadPlaces => ['a number has 0 to 6 decimals', 'Write a number from 0 to 6'],
            CertainFailure::Negative => [
                'an amount must not be below zero',
                'Use “take” instead of “add”, or the other way round',
            ],
            CertainFailure::NotWhole => ['a whole number is needed', 'Round it, or write a whole one'],
            CertainFailure::NotYesOrNo => ['yes or no is needed, and this is neither', 'Use yes, no, on or off'],
            CertainFailure::NotANumberField => [
                'only numbers can be added to and taken from',
                'Use “set” for what holds a text, a moment, or yes and no',
            ],
        };
    }
}
