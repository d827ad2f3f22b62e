<?php

declare(strict_types=1);

namespace SilverParrot\Response\Outlook;

use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Source\Span;

/** What is known of a whole response: how long it gets, and the outlook of each slot and condition where it stands. */
final readonly class Prospect
{
    /**
     * @param  list<array{Slot, Outlook}>  $slots
     * @param  list<array{Expression, Outlook, Span}>  $conditions  with the span of the slot they stand in
     * @param  array<string, Outlook>  $values  of everything that has one value within the response, by its key (see Asked)
     * @param  int  $typedRoom  code points that can be typed after the trigger
     * @param  int  $work  steps of all filters together, at most
     */
    public function __construct(public Extent $extent, public array $slots, public array $conditions, public array $values, public int $typedRoom, public int $work)
    {
    }
}
