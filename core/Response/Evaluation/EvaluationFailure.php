<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;

/** A response that cannot be said after all. Caught where responses are said; nothing of it is kept. */
final class EvaluationFailure extends \Exception
{
    private function __construct(public readonly string $reason, string $sentence, public readonly ?Span $span)
    {
        parent::__construct($sentence);
    }

    public static function gap(Gap $gap, Span $span): self
    {
        return new self($gap->reason->value, ucfirst($gap->sentence()).'.', $span);
    }

    /** @param  string  $why what is wrong in it, where that is known */
    public static function unreadable(Span $span, string $why = 'This slot cannot be read as it is written.'): self
    {
        return new self('unreadable', $why, $span);
    }

    public static function negative(int|Number $amount, Span $span): self
    {
        return new self(
            'negative-amount',
            'An amount must not be below zero, and this is '.Number::digits($amount).'.',
            $span,
        );
    }

    public static function notWhole(Number $amount, Span $span): self
    {
        return new self('not-whole', 'A whole number is needed, and this is '.Number::digits($amount).'.', $span);
    }

    public static function tooMuch(string $unit, int $most, Span $span): self
    {
        return new self('too-much', "Nobody can have more than $most $unit.", $span);
    }

    public static function notEnough(string $unit, string $has, Span $span): self
    {
        return new self('not-enough', "There are not enough $unit: only $has.", $span);
    }

    public static function nobodyToChange(string $typed, Span $span): self
    {
        return new self(
            'unknown-person',
            $typed === ''
                ? 'Nobody was named.'
                : "“{$typed}” was never seen in this chat, so nothing can be kept for them.",
            $span,
        );
    }

    public static function notANumberField(string $name, Span $span): self
    {
        return new self('not-a-number-field', "{$name} holds no number, so nothing can be added or taken.", $span);
    }

    public static function notKeptExactly(Span $span): self
    {
        return new self(
            'not-exact',
            'A number is kept with at most '.Number::DECIMALS.' decimals, and this one has more: round it first.',
            $span,
        );
    }

    public static function notAMoment(string $text, Span $span): self
    {
        return new self('not-a-moment', "“{$text}” is not a moment.", $span);
    }

    public static function textTooLong(int $limit, Span $span): self
    {
        return new self('text-too-long', "A field keeps at most $limit characters.", $span);
    }

    public static function tooMuchWork(): self
    {
        return new self('too-much-work', 'It takes more work than one reply may: leave some of its filters out.', null);
    }

    public static function tooMuchSaid(): self
    {
        return new self('too-much-said', 'The reply has more than '.Limits::SAID.' characters.', null);
    }
}
