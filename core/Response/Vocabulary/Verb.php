<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Vocabulary\Verbs\Assignable;
use SilverParrot\Source\Span;
use SilverParrot\Value\Value;

/** A way of changing something that is remembered. */
interface Verb
{
    public function describe(): Description;

    /** The word between the amount and the place, or between the place and the value; empty for none. */
    public function joint(): string;

    /** Whether the place comes before the amount: `set place to value`. */
    public function placeFirst(): bool;

    /** Whether its amount must be a number. */
    public function counts(): bool;

    /** What is kept afterwards, and why it can fail. */
    public function estimate(ValueEstimate $place, ?ValueEstimate $amount): ValueEstimate;

    /** @return null|bool|int|string|Value what is kept afterwards */
    public function apply(Assignable $cell, null|bool|int|string|Value $amount, Span $span): null|bool|int|string|Value;
}
