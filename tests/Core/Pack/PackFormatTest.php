<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Channel;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\Triggers;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Finding;
use Symfony\Component\Yaml\Yaml;
use Tests\Demo;

final class PackFormatTest extends TestCase
{
    private const ROOT = __DIR__.'/../../../docs/';

    public function test_the_demo_pack_is_read_and_written_without_loss(): void
    {
        [$pack, $findings] = PackFormat::read(self::demo());
        self::assertSame([], $findings);
        [$again, $more] = PackFormat::read(PackFormat::write($pack));
        self::assertSame([], $more);
        self::assertEquals($pack, $again);
        self::assertSame(PackFormat::write($pack), PackFormat::write($again));
        self::assertCount(Demo::commands(), $pack->commands);
    }

    public function test_a_document_of_the_first_version_is_read_for_good_and_what_had_a_name_has_it_for_an_id(): void
    {
        [$pack, $findings] = PackFormat::read((string) file_get_contents(__DIR__.'/version-1.pack.json'));
        self::assertSame([], $findings);
        /** @var array<string, mixed> $today */
        $today = json_decode(self::demo(), true);
        // What the first version had no place for.
        $details = array_fill_keys(CastMember::DETAILS, true);
        $later = array_fill_keys(['one', 'many', 'limits', 'changes', 'rises', 'phrases', 'from_chat'], true);
        $today['cast'] = array_map(
            static fn (array $one): array => array_diff_key($one, $details),
            (array) $today['cast'],
        );
        $today['fields'] = array_map(
            static fn (array $one): array => array_diff_key($one, $later),
            (array) $today['fields'],
        );
        unset($today['refusals'], $today['timers']);
        // The first version had no look-ups to say it with.
        $today['commands'] = array_map(
            static fn (array $one): array => $one['trigger'] !== '!tide' ? $one : [
                'responses' => [['text' => '[fact.tide] Now it is [now].']],
            ] + array_diff_key($one, ['if_it_fails' => true]),
            (array) $today['commands'],
        );
        $today['commands'] = array_map(
            static fn (array $one): array => isset($one['cooldown'])
                ? ['cooldown' => array_diff_key($one['cooldown'], ['levels' => true, 'passes' => true])] + $one
                : $one,
            (array) $today['commands'],
        );
        foreach (['ladders', 'counters', 'commands', 'lists'] as $kind) {
            $today[$kind] = array_map(
                static fn (array $one): array => array_diff_key($one, $later),
                (array) $today[$kind],
            );
        }
        foreach ([
            'commands' => [
                '!keep',
                '!forget',
                '!buy',
                '!chalk',
                '!wipe',
                '!title',
                '!category',
                '!tags',
                '!mark',
                '!chore',
                '!route',
                '!mine',
                '!oracle',
                '!omen',
                '!ring',
                '!launched',
                '!kindle',
                '!skim',
                'gull alarm',
                '!porridge',
                '!wassail',
                '!varnish',
                '!berth',
                '!find',
                '!weather',
                '!price',
                '!gained',
            ],
            'facts' => ['map', 'house_rule'],
            'lists' => ['answers', 'omens'],
            'counters' => ['bells'],
            'occasions' => ['launched'],
        ] as $kind => $new) {
            $today[$kind] = array_values(array_filter(
                (array) $today[$kind],
                static fn (array $one): bool => ! in_array($one['trigger'] ?? $one['name'], $new, true),
            ));
        }
        $later = ['earnings', 'plan', 'quotes', 'goods', 'regulars', 'lookups'];
        $today = array_diff_key($today, array_fill_keys($later, true));
        self::assertEquals(PackFormat::read((string) json_encode($today))[0], $pack);
        self::assertTrue(self::schemaTakes((string) file_get_contents(__DIR__.'/version-1.pack.json')));
        foreach ($pack->commands as $command) {
            self::assertSame($command->trigger, $command->id);
            self::assertSame(
                array_map(strval(...), array_keys($command->responses)),
                array_map(static fn (CommandResponse $one): string => $one->id, $command->responses),
            );
        }
        self::assertSame('planks', $pack->counters['planks']->id);
    }

    public function test_ids_outlive_a_new_name_a_new_order_and_a_new_text(): void
    {
        $list = new TextList(
            'knots',
            [
                new WeightedText('reef knot', 1, TextList::idsByText([new WeightedText('bowline')])[0]),
                new WeightedText('bowline', 1, 'other'),
            ],
            id: 'old',
        );
        $command = Say::on('!tide', 'high', 'low')->called('c1')->on(new Triggers('!ebb'));
        $command = $command->answering(array_reverse($command->responses));
        $pack = new Pack(self::channel(), commands: [$command], lists: ['knots' => $list]);
        $again = PackFormat::read(PackFormat::write($pack))[0];
        self::assertEquals($pack, $again);
        self::assertSame(
            ['c1', ['1', '0']],
            [
                $again->commands[0]->id,
                array_map(static fn (CommandResponse $one): string => $one->id, $again->commands[0]->responses),
            ],
        );
        self::assertSame($list->ids(), $again->lists['knots']->ids());
    }

    /** A document leaves out what is as it is by itself: what is next to that is written. */
    public function test_what_is_nearly_as_it_is_by_itself_is_written_and_read_the_same(): void
    {
        foreach ([-1, 0, 1, 2, 3] as $number) {
            $count = max(0, $number);
            $weight = max(1, $number);
            $pack = new Pack(
                self::channel(),
                commands: [
                    Say::on('!tide', new CommandResponse([new Say('high')], $weight))->gated(
                        new Cooldown(8 + $count, 60 + $number),
                    ),
                ],
                lists: [
                    'knots' => new TextList('knots', [
                        new WeightedText('reef knot', $weight),
                        new WeightedText('bowline', 4 - $weight),
                    ]),
                ],
                counters: [
                    'planks' => new Counter('planks', start: $number, floor: $number, ceiling: $number),
                    'ropes' => new Counter('ropes', floor: null),
                ],
                goods: ['tea' => new Goods('tea', $count)],
                flood: new Flood(5 + $number, 20 - $number),
            );
            [$again, $findings] = PackFormat::read(PackFormat::write($pack));
            self::assertSame([], $findings, (string) $number);
            self::assertEquals($pack, $again, (string) $number);
        }
    }

    public function test_a_response_of_several_steps_is_written_and_read_the_same(): void
    {
        $pack = new Pack(
            self::channel(),
            commands: [Say::on('!tide', new CommandResponse([new Say('one'), new Say('two')], 3, 'r'))],
        );
        [$again, $findings] = PackFormat::read(PackFormat::write($pack));
        self::assertSame([], $findings);
        self::assertEquals($pack, $again);
        self::assertTrue(self::schemaTakes(PackFormat::write($pack)));
        self::assertSame(
            ['responses/0/steps/0/say' => 'one', 'responses/0/steps/1/say' => 'two'],
            $again->commands[0]->sources(),
        );
        self::assertSame(
            'new',
            $again->commands[0]->withSource('responses/0/steps/1/say', 'new')->sources()['responses/0/steps/1/say'],
        );
    }

    public function test_yaml_says_the_same(): void
    {
        $yaml = Yaml::dump(json_decode(self::demo(), true), 10);
        [$pack, $findings] = PackFormat::read($yaml);
        self::assertSame([], $findings);
        self::assertEquals(PackFormat::read(self::demo())[0], $pack);
    }

    public function test_yaml_tags_and_objects_are_refused(): void
    {
        foreach (
            [
                "format: !php/object 'O:8:\"stdClass\":0:{}'" => 'not-readable',
                'format: !php/const PHP_VERSION' => 'not-readable',
                'format: !mine x' => 'needs-quotes',
                "a: &x [*x]\n  b" => 'not-readable',
                'format: !!binary IWE=' => 'has-tags',
                "a:\n  - !!str 5" => 'has-tags',
            ] as $text => $code
        ) {
            self::assertSame($code, PackFormat::read($text)[1][0]->kind->code(), $text);
        }
    }

    /**
     * What the reader takes and what the published schema takes is the same; the schema is judged by opis/json-schema.
     */
    public function test_reader_and_schema_agree_on_every_broken_document(): void
    {
        self::assertTrue(self::schemaTakes(self::demo()));
        foreach (self::brokenDocuments() as $name => [$text]) {
            self::assertFalse(self::schemaTakes($text), $name);
        }
    }

    /** @return iterable<string, array{string, list<string>}> a document, and "pointer code" of each finding */
    public static function brokenDocuments(): iterable
    {
        $break = static function (callable $change): string {
            /** @var array<string, mixed> $document */
            $document = json_decode(self::demo(), true);

            return json_encode($change($document), JSON_THROW_ON_ERROR);
        };
        yield 'unknown keys, at once' => [$break(static function (array $d): array {
            $d['comands'] = [];
            $d['commands'][2]['cooldwn'] = 3;

            return $d;
        }), ['/comands unknown-key', '/commands/2/cooldwn unknown-key']];
        yield 'missing' => [$break(static function (array $d): array {
            unset($d['commands'][0]['trigger'], $d['facts'][0]['text']);

            return $d;
        }),
            [
                '/commands/0 missing-key',
                '/commands/0/trigger wrong-kind',
                '/facts/0 missing-key',
                '/facts/0/text wrong-kind',
            ],
        ];
        yield 'kinds' => [
            $break(static function (array $d): array {
                $d['commands'][1]['enabled'] = 'yes';
                $d['commands'][1]['cooldown']['channel'] = '10';
                $d['lists'][0]['items'] = 'bowline';
                $d['cast'][0]['record'] = [1];

                return $d;
            }),
            [
                '/commands/1/enabled wrong-kind',
                '/commands/1/cooldown/channel wrong-kind',
                '/lists/0/items wrong-kind',
                '/cast/0/record wrong-kind',
            ],
        ];
        yield 'ranges' => [
            $break(static function (array $d): array {
                $d['commands'][0]['responses'][0]['weight'] = 0;
                $d['commands'][0]['cooldown']['person'] = 86_401;
                $d['cast'][0]['tier'] = 4;

                return $d;
            }),
            [
                '/commands/0/responses/0/weight out-of-range',
                '/commands/0/cooldown/person out-of-range',
                '/cast/0/tier out-of-range',
            ],
        ];
        yield 'choices' => [
            $break(static function (array $d): array {
                $d['lists'][0]['order'] = 'random';
                $d['commands'][2]['levels']['at_least'] = 'captain';
                $d['commands'][3]['levels']['any_of'] = [];
                $d['counters'][1]['scope'] = 'ship';

                return $d;
            }),
            [
                '/commands/2/levels/at_least not-one-of',
                '/commands/3/levels/any_of nothing-chosen',
                '/lists/0/order not-one-of',
                '/counters/1/scope not-one-of',
            ],
        ];
        yield 'names' => [
            $break(static function (array $d): array {
                $d['facts'][0]['name'] = 'work shop';
                $d['commands'][0]['trigger'] = '!a [b';
                $d['fields'][0]['name'] = '9lives';

                return $d;
            }), ['/commands/0/trigger not-a-trigger', '/facts/0/name not-a-name', '/fields/0/name not-a-name']];
        yield 'long' => [$break(static function (array $d): array {
            $d['commands'][0]['responses'][0]['text'] = str_repeat('é', 2001);

            return $d;
        }), ['/commands/0/responses/0/text text-too-long']];
        yield 'another format' => ['{"format":"other","version":1}', [' wrong-format']];
        yield 'another version' => ['{"format":"silver-parrot-pack","version":3}', ['/version wrong-version']];
        yield 'ids and steps' => [$break(static function (array $d): array {
            $d['commands'][0]['id'] = 'two words';
            $d['commands'][1]['responses'] = [['text' => 'x', 'steps' => [['say' => 'y']]]];
            $d['commands'][2]['responses'] = [['steps' => [['sing' => 'x']]]];
            $d['lists'][0]['items'][0]['id'] = '';

            return $d;
        }),
            [
                '/commands/0/id not-an-id',
                '/commands/1/responses/0/text unknown-key',
                '/commands/2/responses/0/steps/0/sing unknown-key',
                '/commands/2/responses/0/steps/0 missing-key',
                '/lists/0/items/0/id not-an-id',
            ],
        ];
        yield 'a list' => ['[1]', [' wrong-kind', ' wrong-format']];
    }

    /** @param  list<string>  $expected */
    #[DataProvider('brokenDocuments')]
    public function test_all_that_is_wrong_is_found_at_once_with_its_place(string $text, array $expected): void
    {
        $found = array_map(
            static fn (Finding $finding): string => "{$finding->at} {$finding->kind->code()}",
            PackFormat::read($text)[1],
        );
        self::assertSame($expected, $found);
    }

    public function test_the_likeliest_slips_of_whoever_writes_yaml_are_told_in_plain_words(): void
    {
        $told = static fn (string $text): array => array_map(
            static fn (Finding $finding): string => trim("{$finding->sentence()} {$finding->mend()}"),
            PackFormat::read($text)[1],
        );
        $head = "format: silver-parrot-pack\nversion: 2\n";
        self::assertSame(
            ['On line 4, !a begins with a sign that means something else in YAML. Put it in quotes: "!a".'],
            $told($head."commands:\n  - trigger: !a\n    responses: []"),
        );
        self::assertSame(
            ['The version is in quotes, and it is a number. Write “version: 2” without quotes.'],
            $told("format: silver-parrot-pack\nversion: '2'"),
        );
        self::assertSame(
            ['Expected a text, found a date. Put it in quotes.'],
            $told($head."facts:\n  - {name: regatta, text: 2026-11-25}"),
        );
        self::assertSame(
            [],
            $told("format: silver-parrot-pack\nversion: 2.0"),
            'a whole number, however it is written',
        );
        // Two marks in a text are no tag.
        self::assertSame([], $told($head."facts:\n  - {name: shout, text: \"hey: !!wow it\"}"));
        foreach (['a: '.str_repeat('[', 3_000), str_repeat('{"a":', 3_000)] as $deep) {
            self::assertLessThan(300, mb_strlen($told($deep)[0]));
        }
    }

    public function test_what_only_the_reader_can_see_is_found_too(): void
    {
        $codes = static fn (string $text): array => array_map(
            static fn (Finding $finding): string => "{$finding->at} {$finding->kind->code()}",
            PackFormat::read($text)[1],
        );
        $head = '"format":"silver-parrot-pack","version":1';
        self::assertSame(
            ['/facts/1/name name-twice'],
            $codes('{'.$head.',"facts":[{"name":"Shed","text":"a"},{"name":"shed","text":"b"}]}'),
        );
        self::assertSame(
            ['/facts/1/id id-twice', '/facts/2/name id-twice'],
            $codes(
                '{'
                    .$head
                    .',"facts":[{"id":"a","name":"shed","text":"a"},'
                    .'{"id":"A","name":"tide","text":"b"},{"name":"a","text":"c"}]}',
            ),
        );
        self::assertSame(
            ['/commands/1/id id-twice'],
            $codes(
                '{'
                    .$head
                    .',"commands":[{"trigger":"!a","responses":[]},{"id":"!a","trigger":"!b","responses":[]}]}',
            ),
        );
        self::assertSame(
            ['/channel/zone not-a-zone'],
            $codes('{'.$head.',"channel":{"login":"a","name":"b","zone":"Cove/Slipway"}}'),
        );
        self::assertSame([' not-readable'], $codes('{"format":'));
        self::assertSame([' not-readable'], $codes("a: [1\nb"));
        self::assertSame([' too-large'], $codes(str_repeat(' ', 4_000_001)));
        self::assertSame([' too-deep-a-document'], $codes(str_repeat('{"a":', 40).'1'.str_repeat('}', 40)));
    }

    public function test_a_key_with_a_slash_or_tilde_is_escaped_in_the_pointer(): void
    {
        [, $findings] = PackFormat::read('{"format":"silver-parrot-pack","version":1,"a/b~c":1}');
        self::assertSame('/a~1b~0c', $findings[0]->at);
    }

    private static function schemaTakes(string $text): bool
    {
        $validator = new Validator;
        $validator
            ->resolver()
            ?->registerFile(
                'https://silver-parrot.example/formats/gates.schema.json',
                self::ROOT.'formats/gates.schema.json',
            );
        $schema = json_decode((string) file_get_contents(self::ROOT.'formats/pack.schema.json'));
        assert(is_object($schema));

        return $validator->validate(json_decode($text), $schema)->isValid();
    }

    private static function channel(): Channel
    {
        return Channel::of('lantern_cove', 'Lantern Cove');
    }

    private static function demo(): string
    {
        return (string) file_get_contents(self::ROOT.'examples/lantern-cove.pack.json');
    }
}
