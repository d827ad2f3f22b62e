<?php

declare(strict_types=1);

namespace Tests\Core\Chat;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Addresses;

/**
 * Against the tests of linkify 0.9.0 (Debian librust-linkify-dev, MIT): those of its cases that are about http and
 * https.
 */
final class AddressesTest extends TestCase
{
    /** Where we decide otherwise, and why. */
    private const DIFFERENT = [
        // Braces are no signs of an address (RFC 3986, 2).
        'http://example.org/a{b}' => '|http://example.org/a|{b}',
        // An apostrophe at the end closes what somebody quotes.
        "http://example.org/a'b'" => "|http://example.org/a'b|'",
        "http://example.org/'_(foo)'" => "|http://example.org/'_(foo)|'",
        "http://example.org/''" => "|http://example.org/|''",
        "http://example.org/'''" => "|http://example.org/|'''",
        // RFC 3986, 3.2.2 lets an apostrophe stand in a host.
        "http://example.org'/>" => "|http://example.org'/|>",
    ];

    public function test_addresses_in_prose_are_found_as_another_finder_finds_them(): void
    {
        $compared = 0;
        $different = [];
        foreach (self::published() as [$text, $expected]) {
            $compared++;
            $marked = self::marked($text);
            if ($marked !== $expected) {
                $different[$text] = $marked;
            }
        }
        self::assertGreaterThan(60, $compared);
        self::assertSame(self::DIFFERENT, $different);
    }

    public function test_what_chats_make_links_of(): void
    {
        self::assertSame(
            'See |https://cove.example/map|, or ask.',
            self::marked('See https://cove.example/map, or ask.'),
        );
        self::assertSame('(|https://cove.example/map_(old)|)', self::marked('(https://cove.example/map_(old))'));
        self::assertSame('cove.example and www.cove.example', self::marked('cove.example and www.cove.example'));
        self::assertSame('javascript:alert(1) data:text/html,x', self::marked('javascript:alert(1) data:text/html,x'));
        self::assertSame('|https://cove.example/?q=a|"onclick=', self::marked('https://cove.example/?q=a"onclick='));
    }

    private static function marked(string $text): string
    {
        $marked = '';
        $at = 0;
        foreach (Addresses::in($text) as [$from, $address]) {
            $marked .= substr($text, $at, $from - $at)."|$address|";
            $at = $from + strlen($address);
        }

        return $marked.substr($text, $at);
    }

    /** @return iterable<array{string, string}> */
    private static function published(): iterable
    {
        $text = (string) file_get_contents(__DIR__.'/linkify/url.rs');
        preg_match_all(
            '/assert_(not_)?linked\(\s*"((?:[^"\\\\]|\\\\.)*)"(?:\s*,\s*"((?:[^"\\\\]|\\\\.)*)")?\s*,?\s*\);/',
            $text,
            $cases,
            PREG_SET_ORDER,
        );
        foreach ($cases as $case) {
            $source = self::unescaped($case[2]);
            // Other schemes than these two are no links in a chat.
            preg_match_all('#([A-Za-z0-9+.-]*)://#', $source, $schemes);
            if (
                array_filter(
                    $schemes[1],
                    static fn (string $scheme): bool => ! in_array(strtolower($scheme), ['http', 'https', ''], true),
                ) === []
            ) {
                yield [$source, $case[1] === '' ? self::unescaped($case[3] ?? '') : $source];
            }
        }
    }

    private static function unescaped(string $rust): string
    {
        return (string) preg_replace_callback(
            '/\\\\(?:u\{([0-9A-Fa-f]+)\}|(.))/',
            static fn (array $part): string => $part[1] !== ''
                ? mb_chr((int) hexdec($part[1]))
                : strtr($part[2], ['n' => "\n", 'r' => "\r", 't' => "\t"]),
            $rust,
        );
    }
}
