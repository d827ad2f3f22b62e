<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Saying;

/** What came of the steps up to the end, or up to a pause. */
final readonly class Stretch
{
    /**
     * @param  list<Saying>  $sayings
     * @param  list<Awaited>  $effects
     * @param  list<Event>  $later
     */
    public function __construct(public array $sayings, public array $effects, public array $later = [])
    {
    }
}
