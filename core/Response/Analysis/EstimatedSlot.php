<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Response\Syntax\Slot;

/** A slot, and what its value can be where it stands. */
final readonly class EstimatedSlot
{
    public function __construct(public Slot $slot, public ValueEstimate $estimate)
    {
    }
}
