<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\Command;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/** What a gate decides by: which command is to run, what set it off, and the world it would run in. */
final readonly class GateContext
{
    /** Null for what no person set off. */
    public ?Person $person;

    public Moment $at;

    public function __construct(public Command $command, public Event $event, public World $world)
    {
        $this->person = $event->person();
        $this->at = $event->at();
    }
}
