<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Guard;
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

        $this->guard(sprintf('%+d', $amount), $span);

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

        $this->guard("=$number", $span);

        return $this->keep($number);
    }

    public function clear(): void
    {
        $this->keep($this->counter->start);
    }

    /** What was counted just now is not counted twice; what this response itself has changed is no double. */
    private function guard(string $what, Span $span): void
    {
        $guard = $this->counter->guard;
        if (! $guard->stands()) {
            return;
        }
        $key = Key::guarded($this->counter->id, $this->key->owner);
        [$by, $now] = [$this->run->scene->caller->id ?? '', $this->run->world->now->millis];
        $left = $guard->left($this->run->world->memory->value($key), $what, $by, $now);
        if ($left !== null) {
            throw EvaluationFailure::countedAlready((int) ceil($left / 1_000), $span);
        }
        $kept = $this->run->memory()->value($key);
        $this->run->change(new Change($key, $kept, Guard::noted($what, $by, $now), '', ''));
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
