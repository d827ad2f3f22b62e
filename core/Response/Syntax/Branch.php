<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Source\Span;

/** What is said where a condition holds. */
final readonly class Branch
{
    /**
     * @param  list<Part>  $parts
     * @param  Span  $span  of the slot that the condition stands in
     */
    public function __construct(public Expression $condition, public array $parts, public Span $span)
    {
    }
}
