<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Lookup\Address\AddressRefusal;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\NearNetworks;
use Tests\Outside;

/** What may be asked: never this machine nor its network, however it is written. */
final class WebAddressTest extends TestCase
{
    public function test_what_may_not_be_asked_is_told_with_its_reason(): void
    {
        $refused = [
            'near' => [
                'http://127.0.0.1/', 'http://0x7f.1/', 'http://2130706433/', 'http://017700000001',
                'http://0177.0.0.1/',
                'http://127.1', 'http://１２７.０.０.１/', 'http://127。0。0。1', 'http://%31%32%37.0.0.1/',
                'http://127.0.0.1./', 'http://[::1]/', 'http://[::ffff:7f00:1]/', 'http://[::ffff:127.0.0.1]',
                'http://[64:ff9b::7f00:1]/', 'http://[2002:7f00:1::]/', 'http://[2001:0:7f00:1::]/',
                'http://169.254.169.254/latest', 'http://0/', 'http://[fe80::1]/', 'http://192.168.0.1:80/',
            ],
            'near-name' => [
                'http://localhost/', 'http://LOCALHOST.', 'http://a.localhost', 'http://ｌｏｃａｌｈｏｓｔ/',
                'http://router/', 'http://nas.local/', 'http://db.internal', 'http://box.home.arpa/',
            ],
            'spelling' => [
                'http://0x08080808/', 'http://8.8.2056', 'http://1.2.3.4.5/', 'http://09.1.1.1', 'http://256.1.1.1',
            ],
            'user-info' => ['http://a@x.org/', 'http://a:b@x.org', 'http://x.org@127.0.0.1/'],
            'port' => ['http://x.org:8080/', 'http://x.org:0', 'https://x.org:22/'],
            'not-web' => ['ftp://x.org', 'file:///etc/passwd', 'javascript:alert(1)', '//x.org', 'x.org', ''],
            'host' => ['http:///x', 'http://a..b/', 'http://-a.org/', 'http://[::1%25lo]/', 'http://x org/'],
            'signs' => [
                'http://x.org\\@127.0.0.1/', "http://x.org/\r\nHost: y", "http://x.org/\xFF", 'http://x.org/a b',
            ],
            'dots' => ['http://x.org/a/../b', 'http://x.org/%2e%2E/b', 'http://x.org/..'],
            'too-long' => ['http://x.org/'.str_repeat('a', 2_000)],
        ];
        foreach ($refused as $code => $addresses) {
            foreach ($addresses as $address) {
                $judged = WebAddress::of($address);
                // A space is no sign of an address, wherever it stands.
                $code = $address === 'http://x org/' ? 'signs' : $code;
                self::assertSame($code, $judged instanceof AddressRefusal ? $judged->value : $judged->text(), $address);
            }
        }
    }

    public function test_what_may_be_asked_goes_out_as_it_was_judged(): void
    {
        foreach (
            [
                'https://tides.cove.org' => 'https://tides.cove.org/',
                'HTTP://Tides.Cove.ORG:80/High?port=porth#now' => 'http://tides.cove.org/High?port=porth',
                'https://bücher.org/ä' => 'https://xn--bcher-kva.org/ä',
                'https://8.8.8.8/' => 'https://8.8.8.8/',
                'http://[2606:4700:0::1111]:443/z' => 'http://[2606:4700::1111]:443/z',
                'https://x.org./a' => 'https://x.org/a',
            ] as $address => $text
        ) {
            $judged = WebAddress::of($address);
            self::assertInstanceOf(WebAddress::class, $judged, $address);
            self::assertSame($text, $judged->text());
        }
        $allowed = WebAddress::of('https://x.org:8443/', true);
        self::assertSame('x.org:8443', $allowed instanceof WebAddress ? $allowed->allowedAs() : '');
        self::assertSame(AddressRefusal::Port, WebAddress::of('https://x.org:8443/'));
        // The bad ports of the WHATWG Fetch standard, from memory; and what is no port.
        foreach ([0, 22, 25, 53, 110, 143, 389, 587, 993, 2049, 6000, 6667, 10080, 65536, 99999] as $port) {
            self::assertSame(AddressRefusal::OtherPort, WebAddress::of("https://x.org:$port/", true), (string) $port);
        }
    }

    public function test_a_name_is_asked_only_where_all_that_it_leads_to_may_be(): void
    {
        $name = WebAddress::of('https://x.org/');
        self::assertInstanceOf(WebAddress::class, $name);
        self::assertNull($name->leadingTo(['8.8.8.8', '2606:4700::1111']));
        foreach ([[], ['127.0.0.1'], ['8.8.8.8', '10.0.0.1'], ['::ffff:8.8.8.8'], ['nonsense']] as $addresses) {
            self::assertSame(AddressRefusal::LeadsNear, $name->leadingTo($addresses));
        }
    }

    /** The WHATWG URL standard, as Node has it: whatever it would take for a number near here is never asked. */
    public function test_no_spelling_that_a_browser_understands_leads_near(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(15));
        $addresses = [];
        for ($times = Outside::rounds(4_000, 100_000); $times > 0; $times--) {
            $addresses[] = 'http://'.self::host($random).'/';
        }
        $hosts = Outside::node('tests/Core/Lookup/hosts.cjs', (string) json_encode($addresses));
        $near = $same = 0;
        foreach ($addresses as $at => $address) {
            $host = is_string($hosts[$at]) ? trim($hosts[$at], '[]') : '';
            $judged = WebAddress::of($address);
            $isNumber = filter_var($host, FILTER_VALIDATE_IP) !== false;
            if ($isNumber && ! NearNetworks::allows($host)) {
                self::assertInstanceOf(AddressRefusal::class, $judged, "$address is $host");
                $near++;
            }
            if ($judged instanceof WebAddress) {
                self::assertSame($host, $judged->host, $address);
                $same++;
            }
        }
        self::assertGreaterThan(500, $near);
        self::assertGreaterThan(50, $same);
    }

    private static function host(Randomizer $random): string
    {
        $pick = static fn (string ...$from): string => $from[$random->getInt(0, count($from) - 1)];
        $number = static fn (int $value): string => match ($random->getInt(0, 4)) {
            0 => '0x'.dechex($value),
            1 => '0'.decoct($value),
            2 => strtr((string) $value, ['0' => '０', '1' => '１', '7' => '７']),
            default => (string) $value,
        };
        $parts = [[127, 0, 0, 1], [10, 1, 2, 3], [192, 168, 0, 1], [169, 254, 169, 254], [8, 8, 4, 4], [0, 0, 0, 0]];
        [$a, $b, $c, $d] = $parts[$random->getInt(0, 5)];
        $host = match ($random->getInt(0, 6)) {
            0 => $number($a * 16_777_216 + $b * 65_536 + $c * 256 + $d),
            1 => $number($a).'.'.$number($b * 65_536 + $c * 256 + $d),
            2 => $number($a).'.'.$number($b).'.'.$number($c * 256 + $d),
            3 => "[::$a.$b.$c.$d]",
            4 => "[::ffff:$a.$b.$c.$d]",
            5 => $pick('tides', 'a-b', 'x_y', 'ü', 'LOCALHOST').$pick('', '.', '.org', '.local', '.xn--p1ai'),
            default => implode($pick('.', '.', '。', '%2e'), array_map($number, [$a, $b, $c, $d])),
        };

        return $pick('', '', '', '', '%31@', 'x.org@').$host.$pick('', '', '', '.', ':80', ':8080');
    }
}
