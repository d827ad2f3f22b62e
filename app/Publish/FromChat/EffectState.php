<?php

declare(strict_types=1);

namespace App\Publish\FromChat;

/** How far something is that somebody brought about from the chat. */
enum EffectState: string
{
    /** Nobody has carried it out yet. */
    case Waiting = 'waiting';

    /** The streaming service is being asked, or was when its talker ended. */
    case Begun = 'begun';

    /** It waits for the streamer's yes. */
    case Asked = 'asked';

    /** It was carried out. */
    case Done = 'done';

    /** It could not be carried out; its outcome says why. */
    case Refused = 'refused';

    /** Its talker ended meanwhile, and to ask once more would do it twice. */
    case Unknown = 'unknown';

    /** The streamer said no. */
    case Declined = 'declined';
}
