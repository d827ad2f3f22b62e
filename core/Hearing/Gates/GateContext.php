<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Command;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Vocabulary\Names\Target;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/** What a gate decides by: which command is to run, what set it off, and the world it would run in. */
final readonly class GateContext
{
    /** Null for what no person set off. */
    public ?Person $person;

    public Moment $at;

    /** Who said what, as far as a response may speak of it. */
    public Invocation $scene;

    public function __construct(
        public Command $command,
        public Event $event,
        public World $world,
        ?Invocation $scene = null,
    ) {
        $this->person = $event->person();
        $this->at = $event->at();
        $this->scene = $scene ?? Invocation::of($this->person);
    }

    /** Who is named behind the trigger, as responses have it; null for nobody. */
    public function target(): Person|Pending|null
    {
        $typed = Target::typed($this->scene, $this->world->profile);
        if ($typed === null || $this->person?->is($typed) === true) {
            return $typed === null ? null : $this->person;
        }
        $key = Key::person($typed);
        if (! $this->world->memory->knows($key)) {
            return Pending::key($key);
        }

        return Person::fromRecord($this->world->memory->value($key)) ?? Person::unknown($typed);
    }
}
