<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

enum FoundKind: string
{
    case Text = 'text';

    case Number = 'number';

    case YesNo = 'yes-no';

    /** The place is there, and empty. */
    case Nothing = 'nothing';

    /** No value, but a part of the answer with values in it. */
    case Part = 'part';
}
