<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/** A header that goes out with what is asked. What is secret is kept elsewhere, and never in a pack. */
final readonly class Header
{
    /** Of one look-up. */
    public const MOST = 20;

    /** Bytes of a value. */
    public const LONGEST = 1_000;

    /** What belongs to the connection, or to whoever asks. */
    private const OURS = [
        'host', 'connection', 'content-length', 'transfer-encoding', 'te', 'trailer', 'upgrade', 'keep-alive',
        'proxy-authorization', 'proxy-connection', 'cookie', 'cookie2', 'user-agent', 'accept-encoding', 'expect',
        'if-none-match', 'if-modified-since', 'range',
    ];

    /** @param  string  $value  empty where it is secret */
    public function __construct(public string $name, public string $value = '', public bool $isSecret = false)
    {
    }

    /** A token (RFC 9110, 5.6.2) that is not ours to set. */
    public static function isName(string $name): bool
    {
        return preg_match('/^[!#$%&\'*+.^_`|~0-9A-Za-z-]{1,60}$/D', $name) === 1
            && ! in_array(strtolower($name), self::OURS, true);
    }

    /** Visible signs and spaces (RFC 9110, 5.5), or it would end the header. */
    public static function isValue(string $value): bool
    {
        return strlen($value) <= self::LONGEST
            && preg_match('/^[\x21-\x7E](?:[\x20-\x7E\t]*[\x21-\x7E])?$/D', $value) === 1;
    }
}
