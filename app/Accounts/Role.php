<?php

declare(strict_types=1);

namespace App\Accounts;

/** What somebody may do in a channel's interface. */
enum Role: string
{
    /** Whose channel it is: everything, the members too. */
    case Streamer = 'streamer';

    /** Writes commands. */
    case Author = 'author';

    /** Looks, rehearses, changes nothing. */
    case Reader = 'reader';

    public function mayWrite(): bool
    {
        return $this !== self::Reader;
    }
}
