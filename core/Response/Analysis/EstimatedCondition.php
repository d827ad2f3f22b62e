<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Source\Span;

/** A condition, and what its value can be where it stands. */
final readonly class EstimatedCondition
{
    /**
     * @param  Span  $span  of the slot that it stands in
     * @param  bool  $isInBranch  whether another condition decides if it is asked
     */
    public function __construct(
        public Expression $condition,
        public ValueEstimate $estimate,
        public Span $span,
        public bool $isInBranch = false,
    ) {
    }
}
