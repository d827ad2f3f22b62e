<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Source\Message;

/** Who says what a command says, and where. */
final readonly class Delivery
{
    public function __construct(public Voice $voice = Voice::Parrot, public Place $place = Place::Chat)
    {
    }

    /** @return list<Message> “as a whisper”, “in the streamer’s voice”; nothing of what goes without saying */
    public function summary(): array
    {
        return [
            ...($this->place === Place::Chat ? [] : [new Message("summary.place-{$this->place->value}")]),
            ...($this->voice === Voice::Streamer ? [new Message('summary.voice-streamer')] : []),
        ];
    }
}
