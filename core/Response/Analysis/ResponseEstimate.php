<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

/** What is known of a whole response: how long it gets, and the outlook of each slot and condition where it stands. */
final readonly class ResponseEstimate
{
    /**
     * @param  list<EstimatedSlot>  $slots
     * @param  list<EstimatedCondition>  $conditions
     * @param  array<string, ValueEstimate>  $values  of everything that has one value within the response, by its key
     *     (see Asked)
     * @param  int  $longestTyped  code points that can be typed after the trigger
     * @param  int  $work  steps of all filters together, at most
     */
    public function __construct(
        public LengthBounds $extent,
        public array $slots,
        public array $conditions,
        public array $values,
        public int $longestTyped,
        public int $work,
    ) {
    }
}
