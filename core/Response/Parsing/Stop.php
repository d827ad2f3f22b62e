<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Source\Span;

/** An [else], [else when …] or [end] that was met while reading the parts of a choice. */
final readonly class Stop
{
    public function __construct(public string $word, public ?Expression $condition, public Span $span)
    {
    }
}
