<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\EffectDone;
use SilverParrot\Hearing\GoesOn;
use SilverParrot\Hearing\Outcome;

/** One thing that happened in a rehearsal, and what came of it. */
final readonly class Heard
{
    /**
     * @param  TimedLine  $line  that was said now, or that is gone on with after a pause, at the moment of now
     * @param  Person|null  $by  null for what nobody did
     * @param  int|null  $number  which of the chat's lines it is, from 0 on; null for what came of one later
     * @param  Event|null  $event  null where only the line is known
     */
    public function __construct(
        public TimedLine $line,
        public ?Person $by,
        public Outcome $outcome,
        public ?int $number,
        public ?Event $event = null,
    ) {
    }

    /** @return string the key of the event that this came of; its own where it came of none */
    public function from(): string
    {
        return match (true) {
            $this->event instanceof GoesOn => $this->event->from->key(),
            $this->event instanceof EffectDone => $this->event->then->from->key(),
            default => $this->event?->key() ?? '',
        };
    }
}
