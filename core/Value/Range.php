<?php

declare(strict_types=1);

namespace SilverParrot\Value;

use SilverParrot\Source\Limits;

/** Whole numbers from one to another, both included; the largest and smallest int stand for no end. */
final readonly class Range
{
    public function __construct(public int $low, public int $high)
    {
    }

    /** What counts something: never below nothing, and never of more digits than a counter has. */
    public static function ofACount(int $from = 0): self
    {
        return new self($from, Limits::COUNTER);
    }

    public function contains(int $number): bool
    {
        return $number >= $this->low && $number <= $this->high;
    }

    public function through(self $other): self
    {
        return new self(min($this->low, $other->low), max($this->high, $other->high));
    }

    public function plus(self $other): self
    {
        return new self(self::bounded($this->low, $other->low), self::bounded($this->high, $other->high));
    }

    public function negated(): self
    {
        return new self(
            $this->high === PHP_INT_MAX ? PHP_INT_MIN : -$this->high,
            $this->low === PHP_INT_MIN ? PHP_INT_MAX : -$this->low,
        );
    }

    public function times(self $other): self
    {
        $products = [];
        foreach ([$this->low, $this->high] as $a) {
            foreach ([$other->low, $other->high] as $b) {
                $products[] = Operation::Times->whole($a, $b) ?? (($a > 0) === ($b > 0) ? PHP_INT_MAX : PHP_INT_MIN);
            }
        }

        return new self(min($products), max($products));
    }

    public function hasNoEnd(): bool
    {
        return $this->low === PHP_INT_MIN || $this->high === PHP_INT_MAX;
    }

    /** @return int characters of the longest number in it, written without grouping */
    public function digits(): int
    {
        return $this->hasNoEnd() ? Limits::DIGITS + 1 : max(strlen((string) $this->low), strlen((string) $this->high));
    }

    private static function bounded(int $a, int $b): int
    {
        foreach ([$a, $b] as $one) {
            if ($one === PHP_INT_MAX || $one === PHP_INT_MIN) {
                return $one;
            }
        }

        return Operation::Plus->whole($a, $b) ?? ($a > 0 ? PHP_INT_MAX : PHP_INT_MIN);
    }
}
