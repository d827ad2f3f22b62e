<?php

declare(strict_types=1);

namespace SilverParrot\Response;

/** Where a piece of what is said came from. */
enum Origin
{
    /** The author wrote it there. */
    case Author;

    /** A slot said what the pack's authors wrote elsewhere: a trigger, a fact, an item of a list. */
    case Pack;

    /** A slot said what people typed, or what was read from outside. */
    case People;
}
