<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** One thing said, ready for the chat. */
final readonly class Saying
{
    /** @param  string  $answerTo the key of the line that it answers, for Place::Reply and Place::Whisper; else empty */
    public function __construct(public string $text, public Voice $voice = Voice::Parrot, public Place $place = Place::Chat, public string $answerTo = '')
    {
    }
}
