<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

enum StreamState: string
{
    /** It is on. */
    case Live = 'live';

    /** It is not. */
    case Offline = 'offline';
}
