<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** Somebody came to another rank without a command: by being here, or by what was handed out. */
final readonly class RankReached implements Event
{
    /** @param  string  $cause  the key of what brought it about */
    public function __construct(public RankChange $change, private string $cause, private Moment $at)
    {
    }

    public function key(): string
    {
        return "{$this->cause} rank {$this->change->ladder->id} {$this->change->person->id}";
    }

    public function at(): Moment
    {
        return $this->at;
    }

    public function person(): Person
    {
        return $this->change->person;
    }

    public function line(): ?ChatLine
    {
        return null;
    }
}
