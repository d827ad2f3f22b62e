<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** What has a number of its own. */
enum CounterScope: string
{
    /** One for the whole channel. */
    case Channel = 'channel';

    /** One for each category. */
    case Category = 'category';

    /** One for each viewer. */
    case Viewer = 'viewer';
}
