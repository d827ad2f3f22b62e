<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Syntax\Assignment;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Vocabulary\Filters\Url;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;
use SilverParrot\Value\GapReason;

/**
 * What can fail while it is said: a look-up without an answer, a division by what may be 0, a number that may be none.
 * Silent where an “or” or “default” stands behind it, inside a [when …] that asks for it, where the command has a text
 * for when it fails, and on details of the channel and of people, without which the whole service is down, and on one
 * “url”, which only a line of nothing but emoji makes too long.
 */
final readonly class CanFail extends AbstractCheck
{
    public function code(): string
    {
        return 'can-fail';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'Where {when}, this fails, and the parrot says nothing.';
    }

    public function mend(): string
    {
        return 'Write {instead}, or give the command a text for when it fails.';
    }

    public function reason(): string
    {
        return 'Whoever asked waits for an answer, and takes the command for broken.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            if ($text->isResponse() && $text->command->ifItFails !== '') {
                continue;
            }
            foreach ($text->estimate->slots as $estimated) {
                $slot = $estimated->slot;
                $findings[] =
                    $slot->isQuiet && $slot->as !== ''
                        ? null
                        : $this->finding($estimated->estimate, $slot->value, $slot->span, $text);
            }
            foreach ($text->estimate->conditions as $estimated) {
                $findings[] = $this->finding($estimated->estimate, $estimated->condition, $estimated->span, $text);
            }
        }

        return array_values(array_filter($findings));
    }

    private static function isOneAddress(Expression $value): bool
    {
        $addresses = 0;
        foreach ($value->within() as $one) {
            $addresses += $one instanceof Filtered && $one->filter instanceof Url ? 1 : 0;
        }

        return $addresses === 1 && $value instanceof Filtered && $value->filter instanceof Url;
    }

    private function finding(ValueEstimate $estimate, Expression $value, Span $span, ReadText $text): ?Finding
    {
        // What always fails has a check of its own.
        foreach ($estimate->fails === null ? $estimate->gaps : [] as $gap) {
            $when = match ($gap) {
                GapReason::LookupDown => 'the look-up has no answer',
                GapReason::DivisionByZero => 'it would divide by 0',
                GapReason::NoNumber => 'what stands there is no number',
                GapReason::NothingToCount => 'there is nothing to count with',
                GapReason::BadRoll => 'the roll has no fitting bounds',
                GapReason::EmptyList => 'the list is empty',
                GapReason::TooLong => self::isOneAddress($value)
                    ? null
                    : 'the text gets longer than '.number_format(Limits::VALUE).' characters',
                GapReason::TooMany => 'the list gets more than '.number_format(Limits::PARTS).' parts',
                default => null,
            };
            if ($when !== null) {
                $written = $text->written($value->span());

                return new Finding($this, $span, $text->at, [
                    'when' => $when,
                    'instead' => $value instanceof Assignment || $value instanceof Filtered
                            ? '“or” and another value behind what is missing'
                            : "“{$written} or …”",
                ]);
            }
        }

        return null;
    }
}
