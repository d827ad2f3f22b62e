<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Verb;
use SilverParrot\Response\Writable;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** `add 1 to counter.planks`: its value is what is kept afterwards. */
final readonly class Change implements Expression
{
    /** @param  Call  $place of a name that is a Writable */
    public function __construct(private Span $span, public Verb $verb, public ?Expression $amount, public Call $place)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): null|bool|int|string|Value
    {
        $amount = $this->amount?->evaluate($run);
        if ($amount instanceof Gap) {
            throw Failed::gap($amount, $this->span);
        }
        $cell = $this->place->name instanceof Writable ? $this->place->name->cell($this->place, $run) : null;
        if ($cell === null || $cell instanceof Gap) {
            throw $cell === null ? Failed::unreadable($this->span) : Failed::gap($cell, $this->span);
        }

        return $this->verb->apply($cell, $amount, $this->span);
    }
}
