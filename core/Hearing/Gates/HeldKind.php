<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

/** What a viewer may have to hold. */
enum HeldKind: string
{
    /** A value in a field of theirs. */
    case Field = 'field';

    /** A rank, or a higher one of the same ladder. */
    case Rank = 'rank';

    /** Goods that they own. */
    case Goods = 'goods';
}
