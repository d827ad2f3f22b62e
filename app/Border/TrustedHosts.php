<?php

declare(strict_types=1);

namespace App\Border;

/**
 * The names under which the application may be asked for: the address that was set up, and on one machine alone all of
 * its own names.
 */
final class TrustedHosts
{
    private const OWN = ['127.0.0.1', 'localhost', '[::1]'];

    /** @return list<string> regular expressions */
    public static function patterns(): array
    {
        $host = parse_url(config()->string('app.url'), PHP_URL_HOST);
        $hosts = is_string($host) && ! in_array($host, self::OWN, true) ? [$host] : self::OWN;

        return array_map(static fn (string $one): string => '^'.preg_quote($one).'$', $hosts);
    }

    /** Whether the application is for this machine alone. */
    public static function isAtHome(): bool
    {
        return in_array(parse_url(config()->string('app.url'), PHP_URL_HOST), self::OWN, true);
    }
}
