<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

/** What a rehearsal of a whole evening hears. */
enum RehearsalKind: string
{
    case Crowd = 'crowd';

    /** A chat log that somebody brought. */
    case Replay = 'replay';

    /** The air's own log, through the edition on the air and through the draft: it has no picture. */
    case Night = 'night';
}
