<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** When a counter begins anew. */
enum Reset: string
{
    /** It lasts. */
    case Never = 'never';

    /** With each stream. */
    case Stream = 'stream';

    /** With each day in the channel's zone. */
    case Day = 'day';
}
