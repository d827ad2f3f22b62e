<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Address;

/** What came of looking whether a written address still leads somewhere. */
enum AddressState: string
{
    /** There is something, or nobody could say. */
    case Fine = 'fine';

    /** The server says that there is nothing any more. */
    case Gone = 'gone';

    /** It is elsewhere, for good. */
    case Moved = 'moved';

    /** Its certificate is not to be trusted, and a browser warns of it. */
    case Certificate = 'certificate';
}
