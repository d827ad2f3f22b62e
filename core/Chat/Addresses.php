<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/**
 * Finds the addresses in a text as chats do that make links of them: with http:// or https:// before, up to the next
 * space, without the signs that end a sentence.
 */
final class Addresses
{
    /** Signs that may end a sentence behind an address, or stand around it. */
    private const ENDS = '.,:;!?\'"*([';

    private const CLOSING = [')' => '(', ']' => '['];

    /** @return list<array{int, string}> where each begins, in bytes, and the address */
    public static function in(string $text): array
    {
        $addresses = [];
        $at = 0;
        // Signs that an address never holds (RFC 3986, 2) end it, and so does what cannot be seen.
        while (
            preg_match(
                '#(?<![A-Za-z0-9])https?://[^\s\p{Z}\p{Cc}<>"`{}|\\\\^]+#iu',
                $text,
                $found,
                PREG_OFFSET_CAPTURE,
                $at,
            ) === 1
        ) {
            [$address, $from] = $found[0];
            $address = self::withoutEnd($address);
            if (preg_match('#^https?://[^/?\#]#i', $address) === 1) {
                $addresses[] = [$from, $address];
            }
            $at = $from + max(1, strlen($address));
        }

        return $addresses;
    }

    private static function withoutEnd(string $address): string
    {
        // A bracket that closes one from before the address is not part of it, and neither is what follows.
        $open = [];
        for ($at = 0; $at < strlen($address); $at++) {
            $sign = $address[$at];
            if ($sign === '(' || $sign === '[') {
                $open[] = $sign;
            } elseif (isset(self::CLOSING[$sign]) && array_pop($open) !== self::CLOSING[$sign]) {
                break;
            }
        }

        return rtrim(substr($address, 0, $at), self::ENDS);
    }
}
