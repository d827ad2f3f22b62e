<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Response\Origin;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Value\Value;

/** What a fact or an item said as a response: a text that still knows which parts of it came from people. */
final readonly class Said implements Value
{
    public function __construct(public RenderedResponse $rendered)
    {
    }

    /** Whether any part of it came from people. */
    public function isOfPeople(): bool
    {
        return in_array(Origin::People, array_column($this->rendered->pieces(), 1), true);
    }
}
