<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;

/** Who says what a command says, and where. */
final readonly class Delivery
{
    public function __construct(public Voice $voice = Voice::Parrot, public Place $place = Place::Chat)
    {
    }

    /** @return list<string> "as a whisper", "in the streamer’s voice"; nothing of what goes without saying */
    public function inWords(): array
    {
        return [
            ...($this->place === Place::Chat ? [] : [$this->place === Place::Reply ? 'as a reply' : 'as a whisper']),
            ...($this->voice === Voice::Streamer ? ['in the streamer’s voice'] : []),
        ];
    }
}
