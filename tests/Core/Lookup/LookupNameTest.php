<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Checks\LookupMakesNoSense;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;

/** Look-ups in responses: what they are asked with, and what is said. */
final class LookupNameTest extends TestCase
{
    private const ANSWERS = '{
        "find": [{"args": {"name": "porth"}, "body": "{\"number\": 17}"}, {"body": "{}"}],
        "tide": [
            {"args": {"port": "17", "lang": "en"}, "body": "{\"high\": \"[counter.planks] at 14:20\"}"},
            {"args": {"port": "3"}, "body": "{\"high\": \"three\"}"},
            {"trouble": "timeout"}
        ]}';

    public function test_a_parameter_comes_from_the_response_from_another_look_up_or_is_as_usual(): void
    {
        foreach (
            [
                '[lookup.tide.high port=3]' => 'three',
                '[lookup.tide.HIGH Port="3"]' => 'three',
                // From the other look-up, which takes what was typed; and what comes back is never evaluated.
                '[lookup.tide.high]' => '[counter.planks] at 14:20',
                '[lookup.find.number name="Porth"]' => '17',
                '[lookup.tide.high port=99 or "nobody knows"]' => 'nobody knows',
                '[lookup.tide.age port=3]' => '0 seconds',
            ] as $response => $said
        ) {
            self::assertSame($said, $this->said($response, '!a porth'), $response);
        }
        self::assertSame('nobody', $this->said('[lookup.tide.high or "nobody"]', '!a elsewhere'));
    }

    public function test_what_a_parameter_may_not_be_fails_with_its_own_sentence_and_nothing_is_asked(): void
    {
        self::assertStringEndsWith('Ports have numbers here', $this->said('[lookup.tide.high port="x"]', '!a'));
        self::assertStringEndsWith(
            'gaps.look-up-parameter-odd name a b',
            $this->said('[lookup.find.number name="a b"]', '!a'),
        );
    }

    public function test_what_is_not_there_is_found_with_what_was_meant(): void
    {
        $found = function (string $response): array {
            $pack = $this->pack($response);

            return array_values(array_filter(array_map(
                static fn (Finding $one): string => $one->kind->code().' '.($one->data['nearest'] ?? ''),
                Checks::ofCommand($pack->commands[0], $pack),
            ), static fn (string $one): bool => str_starts_with($one, 'unknown') || str_starts_with($one, 'part')));
        };
        self::assertSame([], $found('[lookup.tide.high or "x"]'));
        self::assertSame(['unknown-part lookup.tide'], $found('[lookup.tid.high or "x"]'));
        self::assertSame(['unknown-part lookup.tide.high'], $found('[lookup.tide.hihg or "x"]'));
        self::assertSame(['unknown-argument port'], $found('[lookup.tide.high prot=3 or "x"]'));
        self::assertSame(['part-expected '], $found('[lookup.tide or "x"]'));
    }

    public function test_addresses_and_parameters_that_do_not_fit_are_found(): void
    {
        $found = static function (string ...$lookups): array {
            [$pack] = PackFormat::read(
                '{"format":"silver-parrot-pack","version":2,"lookups":['.implode(',', $lookups).']}',
            );
            $findings = (new LookupMakesNoSense)->look(CheckContext::at($pack, CheckEnvironment::at(new Moment(0))));

            return array_map(static fn (Finding $one): string => $one->sentence(), $findings);
        };
        $reading = '"readings":[{"name":"x","path":"x"}]';
        $of = static fn (string $name, string $from): string => '{"name":"'.$name.'","address":"https://a.org/{p}",'
            .'"parameters":[{"name":"p","from":"'.$from.'"}],'.$reading.'}';
        self::assertSame([], $found($of('a', 'words'), $of('b', 'lookup.a.x'), $of('c', 'lookup.b.X')));
        self::assertSame(
            ['The parameter q of lookup.a stands in its address and is none of its parameters.'],
            $found('{"name":"a","address":"https://a.org/{q}"}'),
        );
        self::assertSame(
            ['The parameter p of lookup.a does not stand in its address.'],
            $found('{"name":"a","address":"https://a.org/","parameters":[{"name":"p"}]}'),
        );
        self::assertSame(
            ['The parameter p of lookup.a comes from lookup.b.x, and there is no such reading.'],
            $found($of('a', 'lookup.b.x')),
        );
        self::assertSame(
            [
                'The parameter p of lookup.a comes from lookup.b.x, which leads back to it.',
                'The parameter p of lookup.b comes from lookup.a.x, which leads back to it.',
            ],
            $found($of('a', 'lookup.b.x'), $of('b', 'lookup.a.x')),
        );
    }

    public function test_a_pack_keeps_its_look_ups(): void
    {
        $pack = $this->pack('x');
        [$again, $flaws] = PackFormat::read(PackFormat::write($pack));
        self::assertSame([], $flaws);
        self::assertEquals($pack->lookups, $again->lookups);
        [, $flaws] = PackFormat::read('{"format":"silver-parrot-pack","version":2,"lookups":[{"name":"a","address":'
            .'"https://{host}","format":"csv","parameters":[{"name":"b","one_of":["c"],"default":"d","from":"[x]"},'
            .'{"name":"B"}],"headers":[{"name":"Host","value":"x"},{"name":"X","value":"a\\nb"},{"name":"Y","value":'
            .'"z","secret":true}],"readings":[{"name":"r","path":"a[","type":"colour"}],"keep":{"least":-1}}]}');
        self::assertSame(
            [
                '/lookups/0/address not-a-web-address',
                '/lookups/0/format not-one-of',
                '/lookups/0/parameters/0/default not-admitted',
                '/lookups/0/parameters/0/from not-an-operand',
                '/lookups/0/readings/0/path not-a-path',
                '/lookups/0/readings/0/type not-one-of',
                '/lookups/0/headers/0/name not-a-header',
                '/lookups/0/headers/1/value not-a-header',
                '/lookups/0/headers/2/value one-too-many',
                '/lookups/0/keep/least out-of-range',
                '/lookups/0/parameters/1/name name-twice',
            ],
            array_map(static fn (Finding $one): string => "{$one->at} {$one->kind->code()}", $flaws),
        );
    }

    private function said(string $response, string $line): string
    {
        $pack = $this->pack($response);
        [$answers, $flaws] = CannedAnswersFormat::read(self::ANSWERS, $pack->lookups, new Moment(0));
        self::assertSame([], $flaws);
        $rehearsal = new Rehearsal(
            $pack,
            (new InitialState)->withAnswers($answers),
            '1',
            ChatProfile::stream(),
        );
        $outcome = $rehearsal->line('e', $rehearsal->person('odo') ?? self::fail('no Odo'), $line, new Moment(0));
        $failed = $outcome->failed?->message();

        return $failed === null ? implode($outcome->texts()) : (new MessageKeys)->of($failed);
    }

    private function pack(string $response): Pack
    {
        [$pack, $flaws] = PackFormat::read((string) json_encode([
            'format' => 'silver-parrot-pack',
            'version' => 2,
            'cast' => [['login' => 'odo', 'name' => 'Odo']],
            'commands' => [['trigger' => '!a', 'responses' => [['text' => $response]]]],
            'lookups' => [
                [
                    'name' => 'tide',
                    'address' => 'https://tides.org/{port}{?lang}',
                    'parameters' => [
                        [
                            'name' => 'port',
                            'number' => ['least' => 1, 'most' => 99],
                            'from' => 'lookup.find.number',
                            'sentence' => 'Ports have numbers here',
                        ],
                        ['name' => 'lang', 'language' => true],
                    ],
                    'headers' => [
                        ['name' => 'Accept', 'value' => 'application/json'],
                        ['name' => 'X-Key', 'secret' => true],
                    ],
                    'readings' => [['name' => 'high', 'path' => 'high']],
                    'keep' => ['least' => 30, 'ahead' => 10],
                ],
                [
                    'name' => 'find',
                    'address' => 'https://tides.org/find{?name}',
                    'parameters' => [
                        [
                            'name' => 'name',
                            'parts' => [['letters' => [2, 20]]],
                            'from' => 'words',
                            'default' => 'porth',
                        ],
                    ],
                    'readings' => [['name' => 'number', 'path' => 'number', 'type' => 'number']],
                ],
            ],
        ]));
        self::assertSame([], $flaws);

        return $pack;
    }
}
