<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** For what points are earned. */
enum EarnedBy: string
{
    /** Being here: whoever wrote within ten minutes. */
    case BeingHere = 'being_here';

    /** A line of the chat. */
    case Line = 'line';

    /** Something that the service tells of, by its word: a follow, a raid. */
    case Happening = 'happening';
}
