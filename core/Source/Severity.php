<?php

declare(strict_types=1);

namespace SilverParrot\Source;

enum Severity: string
{
    /** It cannot work as written. */
    case Error = 'error';

    /** It works, and probably not as meant. */
    case Warning = 'warning';

    /** Worth knowing. */
    case Note = 'note';
}
