<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

/** What keeps a phrase from being one, as the end of a sentence. */
enum PhraseFlaw: string
{
    case Empty = 'there is no word in it';

    case BracketOpen = 'a bracket is not closed; alternatives stand in one, (boat/ship), and \( is a bracket itself';

    case BracketWithin = 'a bracket stands inside another';

    case BracketStray = 'a bracket is closed that was never opened; \) is a bracket itself';

    case OnlyGap = 'a gap stands between words, and not at an end';

    case TooMany = 'its alternatives may make 64 phrases of at most 12 words';
}
