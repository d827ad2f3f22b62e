<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

enum RowState: string
{
    /** It is not here yet. */
    case New = 'new';

    /** It is here, and becomes another. */
    case Changed = 'changed';

    /** It is here as it is. */
    case Same = 'the same';

    /** It cannot be kept, and is left out. */
    case Wrong = 'left out';
}
