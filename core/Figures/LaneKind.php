<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

/** What a lane of the picture of an evening is of. */
enum LaneKind: string
{
    /** Lines that began with its trigger. */
    case Command = 'command';

    /** Lines in which the phrase stood. */
    case Phrase = 'phrase';

    /** What is said by itself. */
    case Timer = 'timer';

    /** What nobody typed. */
    case Happening = 'happening';
}
