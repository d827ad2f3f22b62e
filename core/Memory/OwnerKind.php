<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

enum OwnerKind: string
{
    /** The whole channel. */
    case Channel = 'channel';

    /** One category of the stream. */
    case Category = 'category';

    /** One viewer. */
    case Viewer = 'viewer';

    /** The sum over all categories, kept beside them so that reading it costs one key. */
    case Total = 'total';
}
