<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

enum Voice: string
{
    /** The parrot's own account. */
    case Parrot = 'parrot';

    /** The streamer's account. */
    case Streamer = 'streamer';
}
