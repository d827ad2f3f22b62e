<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Hearing\Attempt;
use SilverParrot\Memory\Key;

/** Whom a gate counts for. */
enum Reach: string
{
    /** Everybody together. */
    case Channel = 'channel';

    /** Each person by themselves. */
    case Person = 'person';

    /** The owner of what is remembered, as keys have it. */
    public function owner(Attempt $attempt): string
    {
        return $this === self::Person ? Key::viewer($attempt->caller->id) : Key::CHANNEL;
    }

    /** In the words of reports. */
    public function scope(Attempt $attempt): string
    {
        return $this === self::Person ? $attempt->caller->login : 'channel';
    }
}
