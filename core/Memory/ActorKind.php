<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

enum ActorKind: string
{
    /** Somebody in the chat. */
    case Viewer = 'viewer';

    /** Somebody at the screens. */
    case User = 'user';

    /** Nobody: a timer, the stream, the parrot's own bookkeeping. */
    case Nobody = 'nobody';
}
