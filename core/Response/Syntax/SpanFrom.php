<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Moments;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** `since occasion.leak`, `until "2027-01-01"`. Nothing, where the moment is on the wrong side of now. */
final readonly class SpanFrom implements Expression
{
    public function __construct(private Span $span, public bool $isSince, public Expression $moment)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): TimeSpan|Gap|null
    {
        $moment = Moments::of($this->moment->evaluate($run), $run);
        if (! $moment instanceof Moment) {
            return $moment;
        }

        return $this->isSince ? TimeSpan::between($moment, $run->world->now) : TimeSpan::between($run->world->now, $moment);
    }
}
