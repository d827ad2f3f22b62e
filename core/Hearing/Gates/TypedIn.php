<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

enum TypedIn: string
{
    /** In the chat, for everybody to read. */
    case Chat = 'chat';

    /** To the parrot alone. */
    case Whisper = 'whisper';

    case Either = 'either';
}
