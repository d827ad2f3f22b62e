<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/**
 * The time zones that both PHP, which reckons, and ICU, which writes, know: either is some years older than the other.
 */
final class Zones
{
    private const UNKNOWN = 'Etc/Unknown';

    public static function isKnown(string $zone): bool
    {
        // The list alone, since PHP would take a file's name too.
        return in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true)
            && self::isKnownToIcu($zone);
    }

    /** @return list<string> in alphabetical order, without older names of the same zone */
    public static function all(): array
    {
        return array_values(array_filter(\DateTimeZone::listIdentifiers(), self::isKnownToIcu(...)));
    }

    private static function isKnownToIcu(string $zone): bool
    {
        return \IntlTimeZone::createTimeZone($zone)->getID() !== self::UNKNOWN;
    }
}
