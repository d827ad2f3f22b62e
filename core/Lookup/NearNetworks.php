<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/**
 * Which addresses lie out in the world, and which on this machine, in its own network, or nowhere. Nothing that an
 * author names may lead to the latter.
 *
 * Source: IANA's registries of special-purpose addresses for IPv4 and IPv6 (RFC 6890 and what has changed it since),
 * what is not globally reachable; of multicast (RFC 5771); and of the unicast space of IPv6, of which 2000::/3 is given
 * out. Ways that lead through another address (NAT64, 6to4, Teredo, mapped ones) are near too, wherever they lead.
 */
final class NearNetworks
{
    private const IPV4 = [
        '0.0.0.0/8', '10.0.0.0/8', '100.64.0.0/10', '127.0.0.0/8', '169.254.0.0/16', '172.16.0.0/12', '192.0.0.0/24',
        '192.0.2.0/24', '192.88.99.0/24', '192.168.0.0/16', '198.18.0.0/15', '198.51.100.0/24', '203.0.113.0/24',
        '224.0.0.0/4', '240.0.0.0/4',
    ];

    /** All of IPv6 that is given out to anybody in the world. */
    private const IPV6_GIVEN_OUT = '2000::/3';

    /** Of that: protocol assignments with Teredo, documentation, 6to4, documentation again. */
    private const IPV6 = ['2001::/23', '2001:db8::/32', '2002::/16', '3fff::/20'];

    /** @param  string  $address  as it was looked up; what is no address at all is not allowed */
    public static function allows(string $address): bool
    {
        $bytes = filter_var($address, FILTER_VALIDATE_IP) === false ? false : inet_pton($address);
        if (! is_string($bytes)) {
            return false;
        }
        if (strlen($bytes) === 4) {
            return ! self::isInAny($bytes, self::IPV4);
        }

        return self::isIn($bytes, self::IPV6_GIVEN_OUT) && ! self::isInAny($bytes, self::IPV6);
    }

    /** @param  list<string>  $networks */
    private static function isInAny(string $bytes, array $networks): bool
    {
        foreach ($networks as $network) {
            if (self::isIn($bytes, $network)) {
                return true;
            }
        }

        return false;
    }

    private static function isIn(string $bytes, string $network): bool
    {
        [$address, $bits] = explode('/', $network);
        $first = (string) inet_pton($address);
        $whole = intdiv((int) $bits, 8);
        $mask = 0xFF << (8 - (int) $bits % 8) & 0xFF;

        return substr($bytes, 0, $whole) === substr($first, 0, $whole)
            && ($mask === 0 || (ord($bytes[$whole]) & $mask) === (ord($first[$whole]) & $mask));
    }
}
