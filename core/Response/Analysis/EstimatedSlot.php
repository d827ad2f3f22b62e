<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Response\Syntax\Slot;

/** A slot, and what its value can be where it stands. */
final readonly class EstimatedSlot
{
    /** @param  bool  $isInBranch  whether a condition decides if it is said */
    public function __construct(public Slot $slot, public ValueEstimate $estimate, public bool $isInBranch = false)
    {
    }
}
