<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Memory\Key;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Operation;
use SilverParrot\Value\Value;

/** A counter's number in one scope. It stops at its floor and ceiling. */
final readonly class CounterCell implements Assignable
{
    public function __construct(
        private Counter $counter,
        private Key $key,
        private string $scope,
        private EvaluationContext $run,
        private string $period,
    ) {
    }

    public function shift(int|Number $amount, Span $span): int
    {
        if (! is_int($amount)) {
            throw EvaluationFailure::notWhole($amount, $span);
        }

        return $this->keep(
            Operation::Plus->whole($this->current(), $amount) ?? ($amount < 0 ? PHP_INT_MIN : PHP_INT_MAX),
            isAdded: true,
        );
    }

    public function set(null|bool|int|string|Value $value, Span $span): int
    {
        $number = Numbers::of($value);
        if ($number instanceof Gap) {
            throw EvaluationFailure::gap($number, $span);
        }
        if (! is_int($number)) {
            throw EvaluationFailure::notWhole($number, $span);
        }

        return $this->keep($number);
    }

    public function clear(): void
    {
        $this->keep($this->counter->start);
    }

    private function current(): int
    {
        return Counted::number($this->counter, $this->run->memory()->value($this->key), $this->period);
    }

    private function keep(int $number, bool $isAdded = false): int
    {
        $number = $this->counter->within($number);
        foreach (
            Counted::changes(
                $this->counter,
                $this->key->owner,
                $number,
                $this->run->memory(),
                $this->period,
                $this->scope,
                $isAdded,
            ) as $change
        ) {
            $this->run->change($change);
        }

        return $number;
    }
}
