<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Address;

/** What is wrong with an address that is to be filled in. */
enum TemplateFlaw: string
{
    /** A brace that is opened and not closed, or the other way round. */
    case Braces = 'braces';

    /** What stands between braces is no name. */
    case Name = 'name';

    case TooMany = 'too-many';

    /** It does not begin with http:// or https:// and a host that is written out. */
    case Host = 'host';

    public function sentence(): string
    {
        return match ($this) {
            self::Braces => 'a brace is open',
            self::Name => 'what stands between braces is no name',
            self::TooMany => 'it has too many parameters',
            self::Host => 'it must begin with https:// and a host that is written out',
        };
    }
}
