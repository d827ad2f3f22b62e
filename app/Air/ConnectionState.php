<?php

declare(strict_types=1);

namespace App\Air;

/** How the talker stands in a chat. */
enum ConnectionState: string
{
    /** Not there; it tries again by itself. */
    case Away = 'away';

    /** In the chat, without a moderator's rights. */
    case Connected = 'connected';

    /** In the chat, with the rights it needs. */
    case Moderator = 'moderator';

    /** The server could not prove who it is: its certificate is another's, has run out, or nobody vouches for it. */
    case NotTrusted = 'not-trusted';

    /** The server did not take the password or the secret. */
    case NotSignedIn = 'not-signed-in';

    /** Somebody has the parrot's name there. */
    case NameTaken = 'name-taken';

    /** The address lies on this machine or in its own network. */
    case TooNear = 'too-near';

    /** It sends more than the parrot can take, and does not stop. */
    case Flooded = 'flooded';

    /** This talker has as many chat servers as it can take. */
    case TooMany = 'too-many';
}
