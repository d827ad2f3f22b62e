<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

/** What a command may need to have typed behind its trigger. */
enum TypedNeed: string
{
    /** Anything that is not blank. */
    case Words = 'words';

    /** A name that could be somebody's. */
    case Target = 'target';

    /** The name of somebody who was ever seen in this chat. */
    case Known = 'known';

    /** The name of somebody who wrote within ten minutes. */
    case Here = 'here';
}
