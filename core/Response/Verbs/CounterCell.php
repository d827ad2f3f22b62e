<?php

declare(strict_types=1);

namespace SilverParrot\Response\Verbs;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Counter;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Operation;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** A counter's number in one scope. It stops at its floor and ceiling. */
final readonly class CounterCell implements Cell
{
    public function __construct(private Counter $counter, private Key $key, private string $scope, private Run $run, private ?Key $total = null)
    {
    }

    public function shift(int|Number $amount, Span $span): int
    {
        if (! is_int($amount)) {
            throw Failed::notWhole($amount, $span);
        }

        return $this->keep(Operation::Plus->whole($this->current(), $amount) ?? ($amount < 0 ? PHP_INT_MIN : PHP_INT_MAX));
    }

    public function set(null|bool|int|string|Value $value, Span $span): int
    {
        $number = Numbers::of($value);
        if ($number instanceof Gap) {
            throw Failed::gap($number, $span);
        }
        if (! is_int($number)) {
            throw Failed::notWhole($number, $span);
        }

        return $this->keep($number);
    }

    public function clear(): void
    {
        $this->keep($this->counter->start);
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept */
    public static function read(Counter $counter, null|bool|int|string|array $kept): int
    {
        return is_int($kept) ? $kept : $counter->start;
    }

    private function current(): int
    {
        return self::read($this->counter, $this->run->memory->value($this->key));
    }

    private function keep(int $number): int
    {
        $number = $this->counter->within($number);
        if ($this->total !== null) {
            $kept = $this->run->memory->value($this->key);
            $sum = $this->run->memory->value($this->total);
            $before = is_int($sum) ? $sum : 0;
            $this->run->change(new Change($this->total, $sum, $before + $number - (is_int($kept) ? $kept : 0), "counter.{$this->counter->name}.total", 'channel'));
        }
        $this->run->change(new Change($this->key, $this->current(), $number, "counter.{$this->counter->name}", $this->scope));

        return $number;
    }
}
