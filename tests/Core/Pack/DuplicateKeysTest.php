<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\TestCase;
use SilverParrot\Document\DuplicateKeys;
use SilverParrot\Format\PackFormat;
use SilverParrot\Source\Finding;

final class DuplicateKeysTest extends TestCase
{
    public function test_each_second_key_is_found_with_its_place(): void
    {
        $cases = [
            '{"a": 1, "a": 2}' => ['/a'],
            '{"a": {"b": [1, {"c": 1, "c": 2}]}, "b": 3}' => ['/a/b/1/c'],
            '{"a": {"x": 1}, "b": {"x": 1}, "c": ["x", "x"]}' => [],
            '{"a\u0062": 1, "ab": 2, "1": 1, "01": 2}' => ['/ab'],
            '{"a/b": 1, "a/b": "}{][,:\\"", "a/b": []}' => ['/a~1b', '/a~1b'],
            '[[], {}, {"a": []}, {"a": {}, "a": null}]' => ['/3/a'],
            '[1, 2.5e3, true, {"k": false, "k": -1}, "k"]' => ['/3/k'],
            '{}' => [], '[]' => [], '1' => [], '"{"' => [],
        ];
        foreach ($cases as $json => $places) {
            self::assertIsNotBool(json_decode((string) $json) ?? 0, (string) $json);
            self::assertSame($places, array_column(DuplicateKeys::in((string) $json), 0), (string) $json);
        }
    }

    public function test_a_pack_whose_keys_appear_twice_is_told_so_and_not_read_by_halves(): void
    {
        $told = static fn (string $json): array => array_map(
            static fn (Finding $one): string => "{$one->at} {$one->kind->code()}",
            PackFormat::read($json)[1],
        );
        $begin = '{"format": "silver-parrot-pack", "version": 1, "channel": {"login": "cove", "name": "Cove"}';
        self::assertSame(
            ['/commands/0/trigger key-twice'],
            $told($begin.', "commands": [{"trigger": "!a", "responses": [], "trigger": "!b"}]}'),
        );
        self::assertSame(
            ['/ladders/0/ranks/1/at rank-twice'],
            $told(
                $begin
                    .', "fields": [{"name": "shells", "type": "points"}], "ladders": [{"field": "shells", "ranks": '
                    .'[{"at": 5, "name": "A"}, {"at": 5, "name": "B"}]}]}',
            ),
        );
        self::assertSame(
            ['/cast/0/record/1 not-a-name'],
            $told($begin.', "cast": [{"login": "odo", "name": "Odo", "record": {"1": "x", "boat": "Heron"}}]}'),
        );
        foreach (['jp', 'cz', 'xx', 'iw', 'x-y', '../en', 'en-'] as $language) {
            self::assertSame(
                ['/channel/language not-a-language'],
                $told(str_replace('"name": "Cove"', '"name": "Cove", "language": "'.$language.'"', $begin).'}'),
                $language,
            );
        }
        foreach (['America/Ciudad_Juarez', 'localtime', 'leapseconds', 'Cove/Slipway', ''] as $zone) {
            self::assertSame(
                ['/channel/zone not-a-zone'],
                $told(str_replace('"name": "Cove"', '"name": "Cove", "zone": "'.$zone.'"', $begin).'}'),
                $zone,
            );
        }
    }
}
