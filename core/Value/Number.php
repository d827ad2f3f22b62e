<?php

declare(strict_types=1);

namespace SilverParrot\Value;

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use SilverParrot\Source\Limits;

/** An exact number that is not whole, or too large for PHP's int. Every other number is an int. */
final readonly class Number implements Value
{
    /** Decimals that are printed. */
    public const DECIMALS = 6;

    /** Characters of a typed number: a sign, 15 digits, a point and six decimals; what is around it may be spaces. */
    public const LONGEST_TYPED = 24;

    /**
     * Numerators and denominators up to this stay ints: their product with a million and twice their size fit into one.
     */
    private const SMALL = 1_000_000_000_000;

    /** Invariant: simplified; not a whole number that an int can hold; either small, or the exact form is there. */
    private function __construct(private int $over, private int $under, private ?BigRational $exact = null)
    {
    }

    /** A quotient of two ints, the divisor not 0: small ones never touch the exact arithmetic. */
    public static function quotient(int $over, int $under): int|self|Gap
    {
        if (abs($over) > self::SMALL || abs($under) > self::SMALL) {
            return self::of(BigRational::nd($over, $under));
        }
        [$a, $b] = [abs($over), abs($under)];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }
        [$over, $under] =
            $under < 0 ? [intdiv(-$over, $a), intdiv(-$under, $a)] : [intdiv($over, $a), intdiv($under, $a)];

        return $under === 1 ? $over : new self($over, $under);
    }

    /** The number in its shortest form: an int where it can be one, a gap where it has too many digits. */
    public static function of(BigRational $exact): int|self|Gap
    {
        $exact = $exact->simplified();
        if (self::length($exact) > Limits::DIGITS) {
            return new Gap(GapReason::TooLarge, ['limit' => (string) Limits::DIGITS]);
        }
        if ($exact->getDenominator()->isEqualTo(1)) {
            $whole = $exact->getNumerator();

            return $whole->getBitLength() <= 63 ? $whole->toInt() : new self(0, 1, $exact);
        }

        return new self(0, 1, $exact);
    }

    /** Digits on both sides of the point; of what has no end behind it, those of the fraction. */
    private static function length(BigRational $exact): int
    {
        $length = strlen((string) $exact->getNumerator()->abs()) + strlen((string) $exact->getDenominator()) - 1;
        if ($length <= Limits::DIGITS) {
            return $length;
        }
        try {
            return strlen((string) $exact->toBigDecimal()->getUnscaledValue()->abs());
        } catch (MathException) {
            return $length;
        }
    }

    /**
     * A number that a person typed: any script's digits, an optional sign, at most 15 digits and 6 decimals, no
     * grouping, no exponent; null where it is none.
     */
    public static function typed(string $text): int|self|null
    {
        $length = strlen($text);
        if ($length > 0 && $length <= 15 && ctype_digit($text)) {
            return (int) $text;
        }
        if ($length > 200) {
            return null;
        }
        $plain = self::plainDigits($text);
        if ($plain === null || preg_match('/^([+-]?)(\d{1,15})(?:\.(\d{1,6}))?$/D', $plain, $parts) !== 1) {
            return null;
        }
        $number = self::of(BigRational::of(BigDecimal::of(ltrim($plain, '+'))));

        return $number instanceof Gap ? null : $number;
    }

    /** A number as it was kept: with a point, of as many digits as any number may have; null where it is none. */
    public static function kept(string $text): int|self|null
    {
        if (preg_match('/^-?\d{1,30}(?:\.\d{1,6})?$/D', $text) !== 1) {
            return null;
        }
        $number = self::of(BigRational::of(BigDecimal::of($text)));

        return $number instanceof Gap ? null : $number;
    }

    public static function exactOf(int|self $number): BigRational
    {
        return is_int($number)
            ? BigRational::of($number)
            : $number->exact ?? BigRational::nd($number->over, $number->under);
    }

    public function isWhole(): bool
    {
        return $this->exact?->getDenominator()->isEqualTo(1) === true;
    }

    /** @return string with a point, at most six decimals, rounded half away from zero, no trailing zeros */
    public static function digits(int|self $number, int $decimals = self::DECIMALS): string
    {
        if (is_int($number)) {
            return (string) $number;
        }
        $text =
            $number->exact === null && $decimals <= self::DECIMALS
                ? $number->smallDigits($decimals)
                : (string) self::exactOf($number)->toScale($decimals, RoundingMode::HALF_UP);
        $text = str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;

        return $text === '-0' ? '0' : $text;
    }

    private function smallDigits(int $decimals): string
    {
        $scale = 10 ** $decimals;
        $scaled = abs($this->over) * $scale;
        $rounded = intdiv($scaled, $this->under) + (2 * ($scaled % $this->under) >= $this->under ? 1 : 0);
        $sign = $this->over < 0 ? '-' : '';

        return $decimals === 0
            ? $sign.$rounded
            : $sign
                    .intdiv($rounded, $scale)
                    .'.'
                    .str_pad((string) ($rounded % $scale), $decimals, '0', STR_PAD_LEFT);
    }

    /** Halves go away from zero. */
    public static function rounded(int|self $number, int $decimals): int|self
    {
        $rounded = is_int($number)
            ? $number
            : self::of(BigRational::of(self::exactOf($number)->toScale($decimals, RoundingMode::HALF_UP)));

        return $rounded instanceof Gap ? $number : $rounded;
    }

    public static function compare(int|self $a, int|self $b): int
    {
        return is_int($a) && is_int($b) ? $a <=> $b : self::exactOf($a)->compareTo(self::exactOf($b));
    }

    /** Rounds down, towards minus infinity. */
    public static function floor(BigRational $number): BigInteger
    {
        [$quotient, $remainder] = $number->getNumerator()->quotientAndRemainder($number->getDenominator());

        return $remainder->isNegative() ? $quotient->minus(1) : $quotient;
    }

    private static function plainDigits(string $text): ?string
    {
        $normal = \Normalizer::normalize($text, \Normalizer::FORM_KC);
        $normal = is_string($normal) ? trim($normal) : '';
        if ($normal === '') {
            return null;
        }
        $plain = '';
        foreach (mb_str_split($normal) as $character) {
            if (strlen($character) === 1) {
                $plain .= $character;

                continue;
            }
            $digit = \IntlChar::charDigitValue($character);
            if ($character === "\u{2212}") {
                $plain .= '-';
            } elseif (
                $digit >= 0
                && $digit <= 9
                && \IntlChar::charType($character) === \IntlChar::CHAR_CATEGORY_DECIMAL_DIGIT_NUMBER
            ) {
                $plain .= $digit;
            } else {
                return null;
            }
        }

        return $plain;
    }
}
