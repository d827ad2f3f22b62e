<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** A response that cannot be said after all. Caught where responses are said; nothing of it is kept. */
final class EvaluationFailure extends \Exception
{
    /**
     * @param  string  $reason  a code, the same for good
     * @param  array<string, int|string|Message>  $data  what stands in its sentence
     * @param  string  $says  its sentence, where that is another than its reason's
     * @param  Message|null  $told  its sentence, where that was told already
     * @param  array<string, null|bool|int|string|Message|Value>  $outcome  what the reply to it may name
     */
    private function __construct(
        public readonly string $reason,
        public readonly ?Span $span,
        private readonly array $data = [],
        private readonly string $says = '',
        private readonly ?Message $told = null,
        public readonly array $outcome = [],
    ) {
        parent::__construct($reason);
    }

    public function message(): Message
    {
        return $this->told ?? new Message('failures.'.($this->says === '' ? $this->reason : $this->says), $this->data);
    }

    /**
     * Something was not done.
     *
     * @param  array<string, null|bool|int|string|Message|Value>  $outcome
     */
    public static function refused(Message $why, array $outcome): self
    {
        return new self('refused', null, told: $why, outcome: $outcome);
    }

    public static function gap(Gap $gap, Span $span): self
    {
        return new self($gap->reason->value, $span, ['why' => $gap->message()], 'gap');
    }

    /** @param  string  $why what is wrong in it, where that is known */
    public static function unreadable(Span $span, string $why = ''): self
    {
        return $why === ''
            ? new self('unreadable', $span)
            : new self('unreadable', $span, ['why' => $why], 'unreadable-because');
    }

    public static function negative(int|Number $amount, Span $span): self
    {
        return new self('negative-amount', $span, ['amount' => Number::digits($amount)]);
    }

    public static function notWhole(Number $amount, Span $span): self
    {
        return new self('not-whole', $span, ['amount' => Number::digits($amount)]);
    }

    public static function tooMuch(string $unit, int $most, Span $span): self
    {
        return new self('too-much', $span, ['unit' => $unit, 'most' => $most]);
    }

    public static function notEnough(string $unit, string $has, Span $span): self
    {
        return new self('not-enough', $span, ['unit' => $unit, 'has' => $has]);
    }

    public static function nobodyToChange(string $typed, Span $span): self
    {
        return $typed === ''
            ? new self('unknown-person', $span, [], 'nobody-named')
            : new self('unknown-person', $span, ['typed' => $typed]);
    }

    public static function notANumberField(string $name, Span $span): self
    {
        return new self('not-a-number-field', $span, ['name' => $name]);
    }

    public static function notKeptExactly(Span $span): self
    {
        return new self('not-exact', $span, ['decimals' => Number::DECIMALS]);
    }

    /** @param  string  $example  of a date, as the channel writes them */
    public static function notAMoment(string $text, string $example, Span $span): self
    {
        return new self('not-a-moment', $span, ['text' => $text, 'example' => $example]);
    }

    public static function textTooLong(int $limit, Span $span): self
    {
        return new self('text-too-long', $span, ['limit' => $limit]);
    }

    /** @param  int  $left  seconds until the same counts again */
    public static function countedAlready(int $left, Span $span): self
    {
        return new self('counted-already', $span, ['left' => $left]);
    }

    /** @param  string  $who  those who may: "moderators and up"; empty where each may change their own alone */
    public static function mayNotChange(string $name, string $who, Span $span): self
    {
        return $who === ''
            ? new self('may-not-change', $span, ['name' => $name], 'only-their-own')
            : new self('may-not-change', $span, ['name' => $name, 'who' => $who]);
    }

    /** @param  string  $limits  in words: "from 0 to 120" */
    public static function outsideLimits(string $name, int|Number $number, string $limits, Span $span): self
    {
        return new self('outside-limits', $span, [
            'name' => $name,
            'number' => Number::digits($number),
            'limits' => $limits,
        ]);
    }

    public static function tooMuchWork(): self
    {
        return new self('too-much-work', null);
    }

    public static function tooMuchSaid(): self
    {
        return new self('too-much-said', null, ['limit' => Limits::SAID]);
    }
}
