<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Lookup\NearNetworks;
use Tests\Outside;

final class NearNetworksTest extends TestCase
{
    /** RFC 6890 and the registries it made, each with an address at both ends where that matters. */
    public function test_no_way_leads_to_this_machine_or_its_network(): void
    {
        $near = [
            '0.0.0.0',
            '10.0.0.1',
            '10.255.255.255',
            '100.64.0.1',
            '100.127.255.255',
            '127.0.0.1',
            '127.255.255.254',
            '169.254.169.254',
            '172.16.0.1',
            '172.31.255.255',
            '192.0.0.8',
            '192.0.2.1',
            '192.88.99.1',
            '192.168.0.1',
            '198.18.0.1',
            '198.19.255.255',
            '198.51.100.7',
            '203.0.113.9',
            '224.0.0.1',
            '239.255.255.255',
            '240.0.0.1',
            '255.255.255.255',
            '::',
            '::1',
            '::ffff:127.0.0.1',
            '::ffff:8.8.8.8',
            '::127.0.0.1',
            '64:ff9b::7f00:1',
            '64:ff9b::808:808',
            '64:ff9b:1::1',
            '100::1',
            '2001::1',
            '2001:10::1',
            '2001:db8::1',
            '2002:7f00:1::',
            '2002:808:808::1',
            '3fff::1',
            '5f00::1',
            'fc00::1',
            'fdff::1',
            'fe80::1',
            'febf::1',
            'fec0::1',
            'feff::1',
            'ff00::1',
            'ff02::1',
            '4000::1',
            'localhost',
            '',
            '127.1',
            '0x7f000001',
            '2130706433',
            '127.0.0.1:80',
            '[::1]',
            '::1%lo',
            "1.1.1.1\0",
            ' 1.1.1.1',
        ];
        foreach ($near as $address) {
            self::assertFalse(NearNetworks::allows($address), $address);
        }
        foreach (
            [
                '1.1.1.1',
                '8.8.8.8',
                '9.255.255.255',
                '11.0.0.0',
                '100.63.255.255',
                '100.128.0.0',
                '172.15.255.255',
                '172.32.0.0',
                '192.167.255.255',
                '192.169.0.0',
                '198.17.255.255',
                '198.20.0.0',
                '223.255.255.255',
                '2600::1',
                '2001:200::1',
                '2a00:1450::1',
                '2003::1',
            ] as $address
        ) {
            self::assertTrue(NearNetworks::allows($address), $address);
        }
    }

    /**
     * IANA's two registries of special-purpose addresses, as special-purpose.json has them. What they say is globally
     * reachable is allowed, but for ways that lead through it to anywhere, and for anycast of the network itself.
     */
    public function test_of_every_special_block_both_ends_and_the_middle_are_refused_unless_all_the_world_reaches_them(): void
    {
        /** @var array{rows: list<array{block: string, name: string, globally_reachable: bool|null}>} $table */
        $table = json_decode((string) file_get_contents(__DIR__.'/special-purpose.json'), true);
        $ways = ['64:ff9b::/96', '192.0.0.9/32', '192.0.0.10/32'];
        $random = new Randomizer(new Xoshiro256StarStar(20261130));
        $allowed = 0;
        foreach ($table['rows'] as $row) {
            [$first, $bits] = explode('/', $row['block']);
            // All of 2001::/23 is for protocols, though some of its parts are reached from everywhere.
            $isOfProtocols = str_starts_with($row['block'], '2001:') && $row['block'] !== '2001:db8::/32';
            $isAllowed = $row['globally_reachable'] === true
                && ! $isOfProtocols
                && ! in_array($row['block'], $ways, true);
            $bytes = (string) inet_pton($first);
            foreach (["\0", "\xFF", null, null, null] as $fill) {
                $free = $fill === null ? $random->getBytes(strlen($bytes)) : str_repeat($fill, strlen($bytes));
                $mask = '';
                foreach (range(0, strlen($bytes) - 1) as $at) {
                    $mask .= chr(0xFF >> max(0, min(8, (int) $bits - 8 * $at)));
                }
                $address = (string) inet_ntop($bytes | ($free & $mask));
                self::assertSame($isAllowed, NearNetworks::allows($address), "$address of {$row['name']}");
                $allowed += $isAllowed ? 1 : 0;
            }
        }
        self::assertSame([50, 20], [count($table['rows']), $allowed]);
    }

    /** Oracle: npm ipaddr.js 2, range(), on 20,000 addresses, half of them near the edges of networks. */
    public function test_an_independent_table_knows_no_near_network_that_we_allow(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261127));
        $addresses = [];
        for ($i = 0; $i < 20_000; $i++) {
            $bytes = $random->getBytes($i % 2 === 0 ? 4 : 16);
            if ($i % 4 === 1) {
                $bytes = substr_replace(
                    $bytes,
                    (string) hex2bin(
                        ['2001', '2002', '3fff', '64ff', '0064', 'fec0', 'ff02', '2001', '0000', '2620'][
                            $random->getInt(0, 9)
                        ],
                    ),
                    0,
                    2,
                );
            }
            if ($i % 8 === 1) {
                $bytes = substr_replace($bytes, "\0\0\0\0", 2, 4);
            }
            $addresses[] = (string) inet_ntop($bytes);
        }
        $ranges = Outside::node(__DIR__.'/ranges.cjs', json_encode($addresses, JSON_THROW_ON_ERROR));
        $allowed = 0;
        foreach ($addresses as $i => $address) {
            if (NearNetworks::allows($address)) {
                $allowed++;
                // Reserved for a purpose, and reachable from everywhere all the same: AS112 and AMT (RFC 7534, 7535,
                // 7450).
                self::assertContains($ranges[$i], ['unicast', 'as112', 'as112v6', 'amt'], $address);
            } elseif ($ranges[$i] === 'unicast') {
                // It does not know which parts of IPv6 were never given out.
                self::assertTrue(
                    str_contains($address, ':')
                        && ((hexdec(explode(':', $address)[0] ?: '0') & 0xE000) !== 0x2000
                            || str_starts_with($address, '2001:')
                            || str_starts_with($address, '3fff:')),
                    $address,
                );
            }
        }
        self::assertGreaterThan(8_000, $allowed);
    }
}
