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

    public function sentence(): string
    {
        return match ($this) {
            self::Away => 'Not in the chat: it tries again by itself.',
            self::Connected => 'Connected to the chat, but not a moderator there: make its account one, or links and '
                .'fast answers are refused.',
            self::Moderator => 'Connected to the chat, with the rights it needs.',
            self::NotTrusted => 'The chat server’s certificate does not prove that it is the one you named, so '
                .'nothing was sent to it. Look at the address, or ask who runs the server.',
            self::NotSignedIn => 'The chat server did not take the name and secret. Give them anew.',
            self::NameTaken => 'Somebody else has the parrot’s name in that chat. Choose another name, or sign in '
                .'with its account.',
            self::TooNear => 'That address lies on this machine or in its own network, where the parrot does not go.',
            self::Flooded => 'The chat server sends more lines than the parrot can take, so it left. It tries again '
                .'every half minute.',
            self::TooMany => 'The talker is connected to as many chat servers as it can take. Ask who runs it to '
                .'start another.',
        };
    }
}
