<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Value\Moment;

/** A pause between two steps is over: the steps behind it go on, for the same person and with the same words. */
final readonly class GoesOn implements Event
{
    /**
     * @param  Event  $from  what set the command off
     * @param  string  $command  its id
     * @param  string  $response  the id of the one that was drawn
     * @param  int  $step  the first that is still to be run, counted from 0
     */
    public function __construct(
        public Event $from,
        public string $command,
        public string $response,
        public int $step,
        public Invocation $scene,
        private Moment $at,
    ) {
    }

    public function key(): string
    {
        return "{$this->from->key()}+{$this->step}";
    }

    public function at(): Moment
    {
        return $this->at;
    }

    public function person(): ?Person
    {
        return $this->from->person();
    }

    public function line(): ?ChatLine
    {
        return $this->from->line();
    }
}
