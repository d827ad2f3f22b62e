<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

enum Place: string
{
    /** The chat that the line came from. */
    case Chat = 'chat';

    /** The chat, shown as an answer to the line. */
    case Reply = 'reply';

    /** To the caller alone. */
    case Whisper = 'whisper';
}
