<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Memory\Key;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** What a number is counted from until the next stream: a command may begin anew in the middle of one. */
final readonly class NotedCell implements Assignable
{
    private function __construct(private Key $key, private EvaluationContext $run)
    {
    }

    public static function of(Key $key, EvaluationContext $run): self|Gap
    {
        return $run->knows($key) ? new self($key, $run) : Gap::pending();
    }

    public function shift(int|Number $amount, Span $span): int
    {
        $before = $this->run->memory()->value($this->key);

        return $this->set(Number::of(Number::exactOf($amount)->plus(is_int($before) ? $before : 0)), $span);
    }

    public function set(null|bool|int|string|Value $value, Span $span): int
    {
        $number = Numbers::whole($value);
        if ($number instanceof Gap) {
            throw EvaluationFailure::gap($number, $span);
        }
        $number = max(-Limits::COUNTER, min(Limits::COUNTER, $number));
        $this->run->change(NotedNumbers::change($this->key, $number, $this->run->memory()));

        return $number;
    }

    public function clear(): void
    {
        $this->set(0, new Span(0, 0));
    }
}
