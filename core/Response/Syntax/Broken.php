<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Source\Span;

/** A slot that could not be read: its findings say why. */
final readonly class Broken implements Filled
{
    public function __construct(public Span $span)
    {
    }

    public function prepared(): Closure
    {
        return fn (): never => throw Failed::unreadable($this->span);
    }
}
