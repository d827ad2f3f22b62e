<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

/** What a number of uses is counted for. */
enum Per: string
{
    /** From the beginning of a stream to that of the next. */
    case Stream = 'stream';

    /** A day where the channel is. */
    case Day = 'day';
}
