<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** It is known what came of an effect: the steps behind it go on, or it is told why it was not done. */
final readonly class EffectDone implements Event
{
    public function __construct(public GoesOn $then, public ActionDone $done, private Moment $at)
    {
    }

    public function key(): string
    {
        return $this->then->key();
    }

    public function at(): Moment
    {
        return $this->at;
    }

    public function person(): ?Person
    {
        return $this->then->person();
    }

    public function line(): ?ChatLine
    {
        return $this->then->line();
    }
}
