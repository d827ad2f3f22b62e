<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Coverage;

/** What scripts can come to in a command. */
enum CoverableKind: string
{
    /** One of its replies is given. */
    case Reply = 'reply';

    /** A condition holds. */
    case Branch = 'branch';

    /** None of the conditions of a choice holds. */
    case Otherwise = 'otherwise';

    /** What stands behind “or” is taken, since there is no value before it. */
    case Fallback = 'fallback';

    /** One of those that are drawn from within the text. */
    case Option = 'option';

    /** The items of a list that it draws from. */
    case Items = 'items';

    /** A look-up has no answer. */
    case Unanswered = 'unanswered';

    /** One of its gates is closed. */
    case Closed = 'closed';
}
