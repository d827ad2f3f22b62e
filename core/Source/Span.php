<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** A stretch of a text, in characters (Unicode code points), half-open. */
final readonly class Span
{
    /** Invariant: 0 <= from <= to. */
    public function __construct(public int $from, public int $to)
    {
    }

    public function through(self $later): self
    {
        return new self($this->from, max($this->to, $later->to));
    }
}
