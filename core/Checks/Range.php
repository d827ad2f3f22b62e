<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Evaluation\Operation;

/** Whole numbers from one to another, both included; the largest and smallest int stand for no end. */
final readonly class Range
{
    public function __construct(public int $low, public int $high)
    {
    }

    public function isWithin(self $other): bool
    {
        return $this->low >= $other->low && $this->high <= $other->high;
    }

    public function isEmpty(): bool
    {
        return $this->low > $this->high;
    }

    public function and(self $other): self
    {
        return new self(max($this->low, $other->low), min($this->high, $other->high));
    }

    public function plus(self $other): self
    {
        return new self(self::sum($this->low, $other->low), self::sum($this->high, $other->high));
    }

    public function negated(): self
    {
        return new self($this->high === PHP_INT_MAX ? PHP_INT_MIN : -$this->high, $this->low === PHP_INT_MIN ? PHP_INT_MAX : -$this->low);
    }

    private static function sum(int $a, int $b): int
    {
        $endless = array_filter([$a, $b], static fn (int $one): bool => $one === PHP_INT_MAX || $one === PHP_INT_MIN);

        return $endless === [] ? Operation::Plus->whole($a, $b) ?? ($a > 0 ? PHP_INT_MAX : PHP_INT_MIN) : array_values($endless)[0];
    }
}
