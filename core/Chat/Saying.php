<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** One thing said, ready for the chat. */
final readonly class Saying
{
    /**
     * @param  string  $answerTo  the key of the line that it answers; empty for what nobody asked for
     * @param  string  $to  the nick of whoever it answers; empty for what nobody asked for, and for who cannot be
     *     addressed
     * @param  bool  $isCut  whether it was longer than the chat takes
     */
    public function __construct(
        public string $text,
        public Voice $voice = Voice::Parrot,
        public Place $place = Place::Chat,
        public string $answerTo = '',
        public string $to = '',
        public bool $isCut = false,
    ) {
    }

    public function isAsked(): bool
    {
        return $this->answerTo !== '';
    }
}
