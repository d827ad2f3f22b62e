<?php

declare(strict_types=1);

namespace SilverParrot\Value;

use Brick\Math\BigRational;

/** What is done with two numbers. */
enum Operation: string
{
    case Plus = '+';
    case Minus = '-';
    case Times = '*';
    case Divided = '/';

    /** What is left of a division; it has the divisor's sign, so a clock of 12 hours works below zero too. */
    case Modulo = '%';

    public function needsDivisor(): bool
    {
        return $this === self::Divided || $this === self::Modulo;
    }

    /** @return int|null null where the result is not whole or does not fit: then exact() decides */
    public function whole(int $left, int $right): ?int
    {
        $result = match ($this) {
            self::Plus => $left + $right,
            self::Minus => $left - $right,
            self::Times => $left * $right,
            // A quotient is made by Number, whole or not.
            self::Divided => null,
            self::Modulo => $right === -1 ? 0 : self::rest($left % $right, $right),
        };

        return is_int($result) ? $result : null;
    }

    /** The sum has parts of different signs, so it never leaves what an int can hold. */
    private static function rest(int $rest, int $divisor): int
    {
        return $rest !== 0 && ($rest < 0) !== ($divisor < 0) ? $rest + $divisor : $rest;
    }

    public function exact(BigRational $left, BigRational $right): BigRational
    {
        return match ($this) {
            self::Plus => $left->plus($right),
            self::Minus => $left->minus($right),
            self::Times => $left->multipliedBy($right),
            self::Divided => $left->dividedBy($right),
            self::Modulo => $left->minus($right->multipliedBy(Number::floor($left->dividedBy($right)))),
        };
    }
}
