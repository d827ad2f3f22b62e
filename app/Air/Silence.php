<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Hearing\Outcome;

/** What of a channel was silenced, as far as a line met it: it is over later, and the why of the line stays true. */
enum Silence: string
{
    case None = '';

    case Parrot = 'parrot';

    /** The command that the line set off. */
    case Command = 'command';

    public static function of(Outcome $outcome): self
    {
        return $outcome->closed?->code === 'silenced' ? self::Command : self::None;
    }
}
