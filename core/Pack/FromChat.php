<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;

/**
 * What those who change commands in the chat may, besides what each of those commands allows, and how it reaches the
 * air. The streamer may all.
 */
final readonly class FromChat
{
    /** Changes of one channel that wait for the streamer at a time. */
    public const MOST_WAITING = 100;

    /**
     * @param  bool  $mayLookUp  whether a response that is written in the chat may ask the web
     * @param  bool  $mayChangeMemory  whether it may change what is remembered
     * @param  bool  $waits  whether a change waits for the streamer’s yes, instead of being on the air at once
     */
    public function __construct(
        public bool $mayLookUp = false,
        public bool $mayChangeMemory = false,
        public bool $waits = false,
    ) {
    }

    /** Whether what they change waits for the streamer. */
    public function holdsBack(Person $by): bool
    {
        return $this->waits && ! $by->levels->has(Level::Streamer);
    }

    /** Whether a response of theirs may have verbs. */
    public function letsChangeMemory(Person $by): bool
    {
        return $this->mayChangeMemory || $by->levels->has(Level::Streamer);
    }

    /** Whether a response of theirs may have look-ups. */
    public function letsLookUp(Person $by): bool
    {
        return $this->mayLookUp || $by->levels->has(Level::Streamer);
    }
}
