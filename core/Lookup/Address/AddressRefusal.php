<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Address;

use SilverParrot\Source\Message;

/** Why a web address may not be asked. */
enum AddressRefusal: string
{
    /** Longer than any address is. */
    case TooLong = 'too-long';

    /** Signs that stand in no address: spaces, controls, backslashes, bytes that are no UTF-8. */
    case Signs = 'signs';

    /** It does not begin with http:// or https:// and a host. */
    case NotWeb = 'not-web';

    /** A user or a password before the host. */
    case UserInfo = 'user-info';

    /** No host, or none that could be one. */
    case Host = 'host';

    /** A number that stands for an address, written otherwise than in four plain parts. */
    case Spelling = 'spelling';

    /** It leads to this machine, into its network, or nowhere. */
    case Near = 'near';

    /** A name that only means something on this machine or in its network. */
    case NearName = 'near-name';

    /** The name leads to an address that is near. */
    case LeadsNear = 'leads-near';

    /** Another port than those of the web. */
    case Port = 'port';

    /** A port that is another protocol's, or none. */
    case OtherPort = 'other-port';

    /** “.” or “..” between slashes: where that leads, the server decides. */
    case Dots = 'dots';

    /** @param  array<string, string>  $data  what stands in its sentence */
    public function message(array $data = []): Message
    {
        return new Message("addresses.{$this->value}", $data);
    }
}
