<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Event;
use SilverParrot\World;

/** A parrot hears an event in a world and gives an outcome. Pure; may be run again freely. */
interface Parrot
{
    public function hear(Event $event, World $world): Outcome|Needs;
}
