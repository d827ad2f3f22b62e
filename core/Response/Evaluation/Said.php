<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Response\RenderedResponse;
use SilverParrot\Value\Value;

/** What a fact or an item said as a response: a text that still knows which parts of it came from people. */
final readonly class Said implements Value
{
    public function __construct(public RenderedResponse $rendered)
    {
    }
}
