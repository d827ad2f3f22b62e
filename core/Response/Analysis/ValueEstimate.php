<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use Closure;
use SilverParrot\Source\Limits;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Number;
use SilverParrot\Value\Range;

/** What is known of a value before anybody says a line. Lengths are in characters as people count them (UAX #29). */
final readonly class ValueEstimate
{
    /** Digits, a sign, the decimal sign and the decimals that are printed. */
    private const LONGEST_NUMBER = Limits::DIGITS + 2 + Number::DECIMALS;

    /** Texts that are kept of a list, so that each can be looked at. */
    private const MOST_TEXTS = 200;

    /** A code point has at most so many bytes (RFC 3629). */
    public const BYTES = 4;

    /**
     * @param  list<ValueKind>  $kinds  empty for what is always nothing
     * @param  int  $shortest  of what is printed; 0 where it can be nothing
     * @param  int  $bytes  the most that are printed: one character can have many
     * @param  list<GapReason>  $gaps  why it can fail to be had
     * @param  Range|null  $range  where it is a whole number
     * @param  bool  $isTyped  whether a viewer chooses how long it is
     * @param  null|bool|int|string|Number  $written  the value itself, where the author wrote it out
     * @param  Many|null  $many  the parts, where it can be a list
     * @param  list<string>|null  $texts  all that it can be, where the author wrote several out
     * @param  list<ValueKind>  $neverReadAs  kinds that no text of it is ever read as
     * @param  CertainFailure|null  $fails  why it can never be had; null where it can
     */
    private function __construct(
        public array $kinds,
        public int $shortest,
        public int $longest,
        public int $bytes,
        public bool $canBeNothing = false,
        public array $gaps = [],
        public ?Range $range = null,
        public bool $isTyped = false,
        public null|bool|int|string|Number $written = null,
        public ?Many $many = null,
        public ?CertainFailure $fails = null,
        public ?array $texts = null,
        public array $neverReadAs = [],
    ) {
    }

    public static function nothing(): self
    {
        return new self([], 0, 0, 0, true);
    }

    /** @param  int  $longest  in code points, which are never fewer than characters */
    public static function text(int $shortest, int $longest, ?int $bytes = null): self
    {
        return new self([ValueKind::Text], $shortest, $longest, $bytes ?? $longest * self::BYTES);
    }

    public static function written(string $text): self
    {
        $length = self::length($text);

        return new self([ValueKind::Text], $length, $length, strlen($text), written: $text);
    }

    /** One of several texts that the author wrote. */
    public static function oneOf(string ...$texts): self
    {
        if (count($texts) < 2) {
            return $texts === [] ? self::nothing() : self::written(array_values($texts)[0]);
        }
        $lengths = array_map(self::length(...), $texts);

        return new self(
            [ValueKind::Text],
            min($lengths),
            max($lengths),
            max(array_map(strlen(...), $texts)),
            texts: count($texts) <= self::MOST_TEXTS ? array_values($texts) : null,
        );
    }

    public static function whole(Range $range): self
    {
        $shortest = $range->contains(0) ? 1 : min(strlen((string) $range->low), strlen((string) $range->high));

        return new self(
            [ValueKind::Number],
            $range->low < 0 && $range->high > 0 ? 1 : $shortest,
            $range->digits(),
            $range->digits(),
            range: $range,
            written: $range->low === $range->high ? $range->low : null,
        );
    }

    public static function number(?int $longest = null): self
    {
        return new self(
            [ValueKind::Number],
            1,
            $longest ?? self::LONGEST_NUMBER,
            ($longest ?? self::LONGEST_NUMBER) + self::BYTES,
        );
    }

    public static function exactly(Number $number): self
    {
        return new self(
            [ValueKind::Number],
            1,
            strlen(Number::digits($number)),
            strlen(Number::digits($number)) + self::BYTES,
            written: $number,
        );
    }

    public static function of(ValueKind $kind, int $shortest, int $longest, ?int $bytes = null): self
    {
        return new self([$kind], $shortest, $longest, $bytes ?? $longest * self::BYTES);
    }

    /** @param  int  $joint  what the channel's language puts between two, at most */
    public static function items(Many $many, int $joint): self
    {
        $joined = $many->joined($joint, $joint * self::BYTES);

        $items = new self(
            [ValueKind::Items],
            0,
            $joined->longest,
            $joined->bytes,
            isTyped: $many->item->isTyped,
            many: $many,
        );

        return $many->most > Limits::PARTS ? $items->orGap(GapReason::TooMany) : $items;
    }

    /** What comes from outside, of which only the length is known. */
    public static function anything(int $longest): self
    {
        return new self(ValueKind::cases(), 0, $longest, $longest * self::BYTES);
    }

    /** The same text, which a viewer chose. */
    public function typed(): self
    {
        return $this->with(isTyped: true);
    }

    /** The same text, which nobody takes for one of these. */
    public function neverReadAs(ValueKind ...$kinds): self
    {
        return $this->with(neverReadAs: array_values($kinds));
    }

    public function orNothing(): self
    {
        return $this->with(shortest: 0, canBeNothing: true, isHad: true);
    }

    /** It can never be had, unless that is not so, or a reason is known already. */
    public function failing(?CertainFailure $why): self
    {
        return $why === null || $this->fails !== null ? $this : $this->with(fails: $why);
    }

    /** Whether it is there, and nothing that it can be is one of these. */
    public function isNever(ValueKind ...$kinds): bool
    {
        return ! $this->canBeNothing
            && $this->kinds !== []
            && array_intersect(array_column($this->kinds, 'name'), array_column($kinds, 'name')) === [];
    }

    /**
     * Whether it is none of these kinds, and no text that can be read as the first of them.
     *
     * @param  Closure(string): bool  $reads  whether a text can be
     */
    public function cannotBeRead(Closure $reads, ValueKind $as, ValueKind ...$others): bool
    {
        $texts = is_string($this->written) ? [$this->written] : $this->texts;
        $isNoText =
            ! in_array(ValueKind::Text, $this->kinds, true)
            || in_array($as, $this->neverReadAs, true)
            || ($texts !== null && array_filter($texts, $reads) === []);

        return $isNoText
            && array_filter(
                $this->kinds,
                static fn (ValueKind $kind): bool => $kind === $as || in_array($kind, $others, true),
            ) === [];
    }

    public function orGap(GapReason ...$gaps): self
    {
        return $gaps === []
            ? $this
            : $this->with(gaps: array_values(array_unique([...$this->gaps, ...$gaps], SORT_REGULAR)));
    }

    /** Where something before has asked for it: it is there. */
    public function known(): self
    {
        return $this->with(
            shortest: max($this->shortest, $this->kinds === [ValueKind::Text] ? 1 : $this->shortest),
            canBeNothing: false,
            gaps: [],
            isHad: true,
        );
    }

    /** As a filter sees it that passes nothing on. */
    public function withoutNothing(): self
    {
        return $this->kinds === [] ? self::whole(new Range(0, 0)) : $this->with(canBeNothing: false, gaps: []);
    }

    /** No longer than another. */
    public function atMost(self $other): self
    {
        return new self(
            $this->kinds,
            min($this->shortest, $other->shortest),
            min($this->longest, $other->longest),
            min($this->bytes, $other->bytes),
            $this->canBeNothing,
            $this->gaps,
            $this->range,
            $other->isTyped,
            null,
            $this->many,
            $this->fails,
        );
    }

    /** As a slot prints it. */
    public function printed(): self
    {
        return $this->longest > Limits::VALUE
            ? new self(
                $this->kinds,
                min($this->shortest, Limits::VALUE),
                Limits::VALUE,
                min($this->bytes, self::BYTES * Limits::VALUE),
                $this->canBeNothing,
                array_values(array_unique([...$this->gaps, GapReason::TooLong], SORT_REGULAR)),
                $this->range,
                $this->isTyped,
                $this->written,
                $this->many,
                $this->fails,
            )
            : $this;
    }

    public function withoutGaps(): self
    {
        return $this->with(gaps: [], isHad: true);
    }

    /** One or the other. */
    public function orElse(self $other): self
    {
        return new self(
            array_values(array_unique([...$this->kinds, ...$other->kinds], SORT_REGULAR)),
            min($this->shortest, $other->shortest),
            max($this->longest, $other->longest),
            max($this->bytes, $other->bytes),
            $this->canBeNothing || $other->canBeNothing,
            array_values(array_unique([...$this->gaps, ...$other->gaps], SORT_REGULAR)),
            $this->range !== null && $other->range !== null ? $this->range->through($other->range) : null,
            $this->isTyped || $other->isTyped,
            null,
            $this->many === null || $other->many === null
                ? $this->many ?? $other->many
                : $this->many->orElse($other->many),
            $other->fails === null ? null : $this->fails,
            self::bothTexts($this->canBeWritten(), $other->canBeWritten()),
            array_values(
                array_filter(
                    $this->neverReadAs,
                    static fn (ValueKind $kind): bool => in_array($kind, $other->neverReadAs, true),
                ),
            ),
        );
    }

    /**
     * @param  list<string>|null  $some
     * @param  list<string>|null  $others
     * @return list<string>|null
     */
    private static function bothTexts(?array $some, ?array $others): ?array
    {
        return $some === null || $others === null ? null : [...$some, ...$others];
    }

    /** Whether it is a number with decimals, written out. */
    public function isNeverWhole(): bool
    {
        return (is_string($this->written) ? Number::typed($this->written) : $this->written) instanceof Number;
    }

    /** @return list<string>|null the texts that it can be; null where they are not known, or too many */
    private function canBeWritten(): ?array
    {
        $texts = is_string($this->written) ? [$this->written] : $this->texts;

        $isAnything = $texts === null && in_array(ValueKind::Text, $this->kinds, true);

        return $isAnything || count($texts ?? []) > self::MOST_TEXTS ? null : $texts ?? [];
    }

    /** What a filter makes a text of: nothing stays nothing, and what was typed stays typed. */
    public function asText(int $shortest, int $longest, ?int $bytes = null): self
    {
        $text = new self(
            $this->kinds === [] ? [] : [ValueKind::Text],
            $this->canBeNothing ? 0 : min(Limits::VALUE, $shortest),
            min(Limits::VALUE, $longest),
            min(self::BYTES * Limits::VALUE, $bytes ?? $longest * self::BYTES),
            $this->canBeNothing,
            $this->gaps,
            isTyped: $this->isTyped,
            fails: $this->fails,
        );

        return $longest > Limits::VALUE ? $text->orGap(GapReason::TooLong) : $text;
    }

    /** What a filter makes a number of. */
    public function asWhole(Range $range): self
    {
        $whole = self::whole($range)->failing($this->fails);

        return $this->canBeNothing ? $whole->orNothing() : $whole;
    }

    /** What is left when it is used as a number: a gap where it is none. */
    public function asNumber(): self
    {
        $typedNumber = is_string($this->written) ? Number::typed($this->written) : null;
        if ($typedNumber !== null) {
            return is_int($typedNumber)
                ? self::whole(new Range($typedNumber, $typedNumber))
                : self::exactly($typedNumber);
        }
        $gaps = $this->gaps;
        // A text can be blank, too, of signs that nobody sees.
        if ($this->canBeNothing || $this->kinds === [] || in_array(ValueKind::Text, $this->kinds, true)) {
            $gaps[] = GapReason::NothingToCount;
        }
        foreach ($this->kinds as $kind) {
            $gap = match ($kind) {
                ValueKind::Number, ValueKind::TimeSpan => null,
                ValueKind::Text => GapReason::NoNumber,
                default => GapReason::WrongKind,
            };
            if ($gap !== null) {
                $gaps[] = $gap;
            }
        }
        $isNumber = $this->kinds === [ValueKind::Number];
        $number =
            $this->range !== null ? self::whole($this->range) : self::number($isNumber ? max(1, $this->longest) : null);

        return $number->orGap(...$gaps)->failing(
            $this->fails
                ?? match (true) {
                    $this->kinds === [] => CertainFailure::NothingToCount,
                    // Where it is nothing, there is nothing to count with either.
                    $this->cannotBeRead(
                        static fn (string $text): bool => Number::typed($text) !== null,
                        ValueKind::Number,
                        ValueKind::TimeSpan,
                    ) => CertainFailure::NoNumber,
                    default => null,
                },
        );
    }

    /** Whether everything that it can be is one of these. */
    public function isOnly(ValueKind ...$kinds): bool
    {
        return $this->kinds !== []
            && array_filter($this->kinds, static fn (ValueKind $kind): bool => ! in_array($kind, $kinds, true)) === [];
    }

    /** Whether `or` may look at its other side. */
    public function mayBeNoValue(): bool
    {
        return $this->canBeNothing
            || $this->gaps !== []
            || $this->kinds === []
            || (is_string($this->written)
                ? trim($this->written) === ''
                : in_array(ValueKind::Text, $this->kinds, true) && $this->shortest === 0)
            || in_array(ValueKind::YesNo, $this->kinds, true)
            || in_array(ValueKind::Items, $this->kinds, true);
    }

    public static function length(string $text): int
    {
        return preg_match('/[^\x20-\x7E]/', $text) === 1 ? (int) grapheme_strlen($text) : strlen($text);
    }

    /**
     * @param  list<GapReason>|null  $gaps
     * @param  bool  $isHad  whether it was had after all
     * @param  list<ValueKind>|null  $neverReadAs
     */
    private function with(
        ?int $shortest = null,
        ?bool $canBeNothing = null,
        ?array $gaps = null,
        ?bool $isTyped = null,
        ?CertainFailure $fails = null,
        bool $isHad = false,
        ?array $neverReadAs = null,
    ): self {
        return new self(
            $this->kinds,
            $shortest ?? $this->shortest,
            $this->longest,
            $this->bytes,
            $canBeNothing ?? $this->canBeNothing,
            $gaps ?? $this->gaps,
            $this->range,
            $isTyped ?? $this->isTyped,
            $this->written,
            $this->many,
            $isHad ? null : $fails ?? $this->fails,
            $this->texts,
            $neverReadAs ?? $this->neverReadAs,
        );
    }
}
