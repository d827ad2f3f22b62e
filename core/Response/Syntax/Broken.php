<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;

/** A slot that could not be read: its findings say why. */
final readonly class Broken implements Part
{
    public function __construct(public Span $span)
    {
    }

    public function say(Run $run): void
    {
        throw Failed::unreadable($this->span);
    }
}
