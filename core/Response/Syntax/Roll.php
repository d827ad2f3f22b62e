<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** `roll 6`, `roll 1 to 100`: a whole number, each equally likely. */
final readonly class Roll implements Expression
{
    /** @param  Expression|null  $to null: from 1 to the one bound */
    public function __construct(private Span $span, public Expression $from, public ?Expression $to)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): int|Gap
    {
        $from = Numbers::whole($this->from->evaluate($run));
        $to = $this->to === null ? $from : Numbers::whole($this->to->evaluate($run));
        if ($from instanceof Gap) {
            return $this->because($from);
        }
        if ($to instanceof Gap) {
            return $this->because($to);
        }
        if ($this->to === null) {
            $from = 1;
            if ($to < 1) {
                return $this->badRoll();
            }
        }
        [$low, $high] = [min($from, $to), max($from, $to)];
        // Compared as floats: the difference of two ints may be more than an int.
        if ((float) $high - (float) $low >= Limits::WIDEST_ROLL) {
            return $this->badRoll();
        }

        return $run->draw($this->span)->getInt($low, $high);
    }

    private function because(Gap $gap): Gap
    {
        return $gap->reason === GapReason::NotWhole ? $this->badRoll() : $gap;
    }

    private function badRoll(): Gap
    {
        return new Gap(GapReason::BadRoll, ['limit' => (string) Limits::WIDEST_ROLL]);
    }
}
