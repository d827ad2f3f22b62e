<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\Checkpoint;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\Scripts\Checked;
use SilverParrot\Rehearsal\Scripts\Expecting;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\SayingPattern;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Rehearsal\Scripts\ScriptResult;
use SilverParrot\Rehearsal\Scripts\ScriptRun;
use SilverParrot\Rehearsal\Scripts\ScriptYaml;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Symfony\Component\Yaml\Yaml;
use Tests\Core\Hearing\Fixture\TestStep;

final class ScriptsTest extends TestCase
{
    private const EXAMPLES = __DIR__.'/../../../docs/examples/';

    public function test_the_examples_hold_and_fit_their_schema(): void
    {
        $demo = PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'))[0];
        foreach (['tide' => 8, 'planks' => 8, 'raid' => 1] as $example => $expectations) {
            $text = (string) file_get_contents(self::EXAMPLES."$example.script.yaml");
            $result = self::played($text, $demo);
            self::assertTrue($result->holds(), "$example: {$result->firstUnmet()?->unmet?->key}");
            self::assertCount($expectations, $result->checked, $example);
            self::assertTrue(Schemas::takes('script', self::json($text)), $example);
        }
    }

    /** @return iterable<string, array{string, string, string}> what is expected; what is otherwise; the line */
    public static function expectations(): iterable
    {
        yield 'says' => ['says: "two words"', 'expectations.says-otherwise', '!say two words'];
        yield 'says two things' => ['says: ["a", "b"]', 'expectations.says-otherwise', '!say a'];
        yield 'contains' => ['contains: "o w"', 'expectations.contains-not', '!say two words'];
        yield 'contains else' => ['contains: "ow"', 'expectations.contains-not', '!say two words'];
        yield 'matches' => ['matches: "t[any] [word]"', 'expectations.matches-not', '!say two words'];
        yield 'matches else' => ['matches: "[number] words"', 'expectations.matches-not', '!say two words'];
        yield 'one of' => ['one_of: ["x", "two words"]', 'expectations.none-of', '!say two words'];
        yield 'nothing' => ['says_nothing: true', 'expectations.says-something', '!say two words'];
        yield 'nothing, for another reason' => [
            'says_nothing: {because: "person cooldown"}',
            'expectations.other-reason',
            '!hush',
        ];
        yield 'nothing, for a reason in short' => ['says_nothing: level', 'expectations.other-reason', '!hush'];
        yield 'nothing, for its reason' => ['says_nothing: {because: level}', 'expectations.other-reason', '!hush'];
        yield 'in time' => ['within: 0', 'expectations.later', '!say x'];
        yield 'in time, but nothing' => ['within: 5', 'expectations.says-nothing', '!hush'];
        yield 'where' => ['where: {place: chat, voice: parrot}', 'expectations.elsewhere', '!say x'];
        yield 'elsewhere' => ['where: {place: whisper}', 'expectations.elsewhere', '!say x'];
        yield 'memory' => ['memory: {counter.bells: 4}', 'expectations.memory-is', '!bell'];
        yield 'other memory' => ['memory: {counter.bells: 5}', 'expectations.memory-is', '!bell'];
        yield 'no memory' => ['memory: {counter.gulls: 5}', 'expectations.no-such-memory', '!bell'];
        yield 'of somebody' => ['memory: {"viewer.pebbles of tamsin": 7}', 'expectations.memory-is', '!bell'];
        yield 'changes' => ['changes: {counter.bells: 1}', 'expectations.changed-by', '!bell'];
        yield 'changes nothing' => ['changes: {counter.bells: 0}', 'expectations.changed-by', '!say x'];
        yield 'changes else' => ['changes: {counter.bells: 2}', 'expectations.changed-by', '!bell'];
        yield 'asks nothing' => ['asks: {lookup: tide, not: true}', 'expectations.asked', '!bell'];
        yield 'asks' => ['asks: tide', 'expectations.not-asked', '!tide'];
        yield 'asks with' => ['asks: {lookup: tide, with: {port: "7"}}', 'expectations.not-asked', '!tide'];
    }

    /** Each holds where it should, and where it does not it says what is otherwise. */
    #[DataProvider('expectations')]
    public function test_an_expectation_holds_or_says_what_is_otherwise(
        string $expected,
        string $why,
        string $line,
    ): void {
        $holds = [
            'says' => true, 'contains' => true, 'matches' => true, 'one of' => true, 'nothing, for its reason' => true,
            'nothing, for a reason in short' => true,
            'in time' => true, 'where' => true, 'memory' => true, 'of somebody' => true, 'changes' => true,
            'changes nothing' => true, 'asks nothing' => true, 'asks' => true, 'asks with' => true,
        ];
        $one = self::played(self::script("  - line: '+0s tamsin: $line'\n    expect: [{{$expected}}]\n"), self::small())
            ->checked[0];
        self::assertSame($holds[$this->dataName()] ?? false, $one->holds(), $one->unmet->key ?? '');
        if (! $one->holds()) {
            self::assertSame($why, $one->unmet->key ?? '');
        }
        self::assertTrue(Schemas::takes('script', self::json(self::script(
            "  - line: '+0s tamsin: $line'\n    expect: [{{$expected}}]\n",
        ))));
    }

    public function test_what_comes_later_belongs_to_its_line(): void
    {
        $slow = Say::on('!slow', new CommandResponse([
            new Say('one'),
            TestStep::pause(5),
            new Say('[add 1 to counter.bells]'),
        ]));
        $pack = self::small()->withCommand($slow->gated(Cooldown::none()));
        $result = self::played(self::script(
            "  - {line: '+0s tamsin: !slow', expect: [{says: [one, '4']}, {within: 5}, {memory: {counter.bells: 4}}]}\n"
                ."  - {line: '+2s odo: !say x', expect: [{says: x}]}\n"
                ."  - {line: '+20s odo: !slow', expect: [{within: 4}]}\n",
        ), $pack);
        self::assertSame(
            [true, true, true, true, false],
            array_map(static fn (Checked $one): bool => $one->holds(), $result->checked),
        );
        self::assertSame(['seconds' => 5, 'most' => 4], $result->checked[4]->unmet->data ?? []);
        self::assertSame(['one', '4'], $result->said(0));
    }

    public function test_what_is_expected_of_all_looks_at_all(): void
    {
        $lines = "  - {line: '+0s tamsin: !say a'}\n  - {line: '+30s tamsin: !say b'}\n"
            ."  - {line: '+40s odo: hello'}\n  - {line: '+1m10s odo: !say c'}\n";
        $of = static fn (string $expected): Checked => self::played(
            self::script($lines)."expect: [{{$expected}}]\n",
            self::small(),
        )->checked[0];
        // Three sayings beside four lines: 42.9 percent.
        self::assertTrue($of('share: 43')->holds());
        self::assertFalse($of('share: 42')->holds());
        self::assertTrue($of('at_most: {sayings: 2, minutes: 1}')->holds());
        self::assertFalse($of('at_most: {sayings: 1, minutes: 1}')->holds());
        self::assertSame(
            ['sayings' => 2, 'minutes' => 1, 'most' => 1],
            $of('at_most: {sayings: 1, minutes: 1}')->unmet->data ?? [],
        );
        self::assertTrue($of('changes: {counter.bells: 0}')->holds());
    }

    public function test_what_happens_changes_the_channel_from_there_on(): void
    {
        $result = self::played(self::script(
            "  - {line: '+0s odo: !where', expect: [{says: 'Planking, live'}]}\n"
                ."  - {at: +5s, happens: {category: Rigging}}\n"
                ."  - {line: '+6s odo: !where', expect: [{says: 'Rigging, live'}]}\n"
                ."  - {at: +10s, happens: {stream_ends: true}}\n"
                ."  - {line: '+11s odo: !where', expect: [{says: 'Rigging, offline'}]}\n"
                ."  - {at: +10m, happens: {stream_begins: true}}\n"
                ."  - {at: +10m1s, happens: {raid: 80}}\n"
                ."  - {at: +10m2s, happens: {follow: odo}}\n"
                ."  - {line: '+11m odo: !where', expect: [{says: 'Rigging, live'}]}\n",
        ), self::small());
        self::assertNull($result->firstUnmet(), implode(' / ', $result->firstUnmet()->said ?? []));
    }

    public function test_where_changes_from_chat_wait_the_script_plays_the_streamers_yes(): void
    {
        $chat = "  - {line: '+0s bram: !chalk oakum Roll it tight.', expect: [{contains: actions.waits}]}\n"
            ."  - {line: '+10s bram: !chalk pitch Stir it.', expect: [{contains: actions.waits}]}\n"
            ."  - {line: '+20s tamsin: !oakum', expect: [{says_nothing: true}]}\n"
            ."  - {at: +30s, happens: {streamer_allows: true}}\n"
            ."  - {line: '+40s tamsin: !oakum', expect: [{says: Roll it tight.}]}\n"
            ."  - {at: +50s, happens: {streamer_refuses: true}}\n  - {at: +55s, happens: {streamer_allows: true}}\n"
            ."  - {line: '+1m tamsin: !pitch', expect: [{says_nothing: true}]}\n";
        $result = self::played(self::script($chat), self::waiting());
        self::assertNull($result->firstUnmet(), implode(' / ', $result->firstUnmet()->said ?? []));
        // Where nothing waits, it is on the air at once.
        $result = self::played(self::script($chat), self::demo());
        self::assertSame(['Chalked up: !oakum says Roll it tight.'], $result->firstUnmet()->said ?? []);
        self::assertTrue(Schemas::takes('script', self::json(self::script($chat))));
        [, $findings] = ScriptFormat::read(
            self::script("  - {at: +1s, happens: {streamer_allows: false}}\n"),
            self::demo(),
        );
        self::assertSame('/chat/0/happens/streamer_allows', $findings[0]->at ?? '');
    }

    public function test_what_waits_for_the_streamer_waits_on_behind_a_checkpoint(): void
    {
        $pack = self::waiting();
        $start = new Moment(1_764_064_800_000);
        $rehearsal = static fn (): Rehearsal => new Rehearsal($pack, new InitialState, '1', ChatProfile::stream());
        $before = $rehearsal();
        $bram = $before->person('bram') ?? self::fail();
        $before->line('a', $bram, '!chalk oakum Roll it tight.', $start);
        $at = Checkpoint::fromJson($before->checkpoint(1, $start->millis)->toJson()) ?? self::fail();
        $behind = $rehearsal();
        $behind->resume($at);
        $behind->hear(new Happening('b', HappeningKind::Allows, $start->plusMillis(60_000)));
        $said = $behind->line('c', $bram, '!oakum', $start->plusMillis(120_000));
        self::assertSame(['Roll it tight.'], $said->texts());
    }

    public function test_however_far_a_clock_is_turned_timers_come_to_an_end(): void
    {
        $timer = new Timer('minutely', [Say::response('Still here.')], 1, lines: 0);
        $pack = self::small()->withTimers([$timer]);
        $start = new Moment(1_764_064_800_000);
        $rehearsal = new Rehearsal($pack, new InitialState(channel: ['live' => true]), '1', ChatProfile::stream());
        $year = $start->plusMillis(365 * 86_400_000);
        $lines = [new TimedLine(365 * 86_400_000, 'tamsin', '!say here')];
        $heard = Runner::run($rehearsal, $lines, [], $start, end: $year->plusMillis(365 * 86_400_000))->heard;
        self::assertSame(['here'], $heard[500]->outcome->texts());
        self::assertCount(1_001, $heard);
    }

    public function test_a_script_is_written_as_it_was_read(): void
    {
        foreach ([(string) file_get_contents(self::EXAMPLES.'tide.script.yaml'), self::script(
            "  - line: \"+0s tamsin(whispers): !say  two \\u202e words\"\n    key: 'a:\"b'\n"
                ."    expect: [{says: \" ha \"}, {says_nothing: {because: level}}, {where: {voice: streamer}}]\n"
                ."  - {at: +1m5s, happens: {raid: 3}}\n  - {at: +1m6s, happens: {follow: odo}}\n"
                ."  - line: '+2m odo: # no comment: [x] {y}'\n    expect: [{one_of: [a, b]}, {contains: '- x'}]\n",
        )] as $text) {
            $pack = PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'))[0];
            [$read, $findings] = ScriptFormat::read($text, $pack);
            self::assertNotNull($read);
            self::assertSame([], $findings);
            $written = ScriptYaml::of($read);
            [$again, $findings] = ScriptFormat::read($written, $pack);
            self::assertSame([], $findings);
            self::assertNotNull($again);
            self::assertSame($written, ScriptYaml::of($again));
            self::assertEquals($read->parts, $again->parts);
            self::assertEquals($read->expected, $again->expected);
            self::assertTrue(Schemas::takes('script', self::json($written)));
        }
    }

    public function test_what_lines_found_is_read_as_it_was_whatever_its_shape(): void
    {
        $given = [
            Key::peopleLines()->id() => ['lines' => 7, 'minutes' => [29_761_140 => 3, 29_761_141 => 4]],
            Key::counter('bells')->id() => ['n' => 3, 'p' => 'stream 2'],
            Key::listPosition('knots')->id() => ['order' => [2, 0, 1], 'at' => 1],
            Key::lastRun('!say')->id() => 1_795_000_000_000,
        ];
        $script = new ReadScript('x', new Moment(0), '1', [], new InitialState($given), []);
        [$read, $findings] = ScriptFormat::read(ScriptYaml::of($script), self::small());
        self::assertSame([], array_map(static fn (Finding $one): string => "{$one->at} {$one->sentence()}", $findings));
        self::assertEquals($given, $read?->situation->memory);
    }

    public function test_what_is_wrong_is_said_with_its_place(): void
    {
        $of = static fn (string $text): array => array_map(
            static fn (Finding $one): string => "{$one->at} {$one->kind->code()}",
            ScriptFormat::read($text, self::small())[1],
        );
        self::assertSame([
            '/chat/0/line script-line',
            '/chat/1 script-line-or-happening',
            '/chat/2/at script-time',
            '/chat/3/expect/0/sings not-one-of',
            '/chat/4 script-back-in-time',
            '/chat/5/happens/wedding unknown-key',
            '/chat/5/happens script-line-or-happening',
        ], $of(self::script(
            "  - {line: 'tamsin: hello'}\n  - {at: +3s}\n  - {at: soon, happens: {raid: 3}}\n"
                ."  - {line: '+9s odo: x', expect: [{sings: x}]}\n  - {line: '+8s odo: x'}\n"
                ."  - {at: +10s, happens: {wedding: true}}\n",
        )));
        self::assertSame([' missing-key', ' missing-key', ' wrong-format'], $of('{}'));
        self::assertSame(['/expect/0/says not-one-of'], $of(self::script('').'expect: [{says: x}]'));
        self::assertNull(ScriptFormat::read('a: [', self::small())[0]);
    }

    public function test_luck_hangs_on_the_seed_and_the_place_of_the_line(): void
    {
        $said = static fn (string $seed): array => self::played(
            strtr(self::script("  - {line: '+0s odo: !luck'}\n  - {line: '+1s odo: !luck'}\n"), ['"7"' => "\"$seed\""]),
            self::small(),
        )->said(1);
        self::assertSame($said('7'), $said('7'));
        $all = array_map(static fn (int $seed): string => $said((string) $seed)[0], range(1, 40));
        self::assertCount(6, array_unique($all));
    }

    /** @return list<array{string, string, bool}> */
    public static function patterns(): array
    {
        return [
            ['', '', true],
            ['[any]', '', true],
            ['[number]', '', false],
            ['High water [number] m[any]', 'High water 4.6 m at Porth', true],
            ['High water [number] m[any]', 'High water low m at Porth', false],
            ['[number]', '-1,234.5', true],
            ['[number]', '٤٢', true],
            ['[number]', '.', false],
            ['[word] [word]', 'two words', true],
            ['[word]', 'two words', false],
            ['[any]a[any]a[any]', 'banana', true],
            ['a[any]', 'b', false],
            ['[anything]', '[anything]', true],
            ['x[number]y', 'x12y', true],
            ['x[number]2y', 'x12y', true],
            ['é[any]', 'été', true],
        ];
    }

    #[DataProvider('patterns')]
    public function test_a_pattern_matches_what_it_says(string $pattern, string $text, bool $matches): void
    {
        self::assertSame($matches, SayingPattern::of($pattern)->matches($text));
    }

    public function test_a_pattern_agrees_with_a_regular_expression_of_the_same_meaning(): void
    {
        mt_srand(16);
        $parts = ['[any]', '[word]', 'a', 'b', ' ', '[any]', 'ab'];
        for ($round = 0; $round < 3_000; $round++) {
            $pattern = $regex = $text = '';
            for ($part = mt_rand(0, 5); $part > 0; $part--) {
                $one = $parts[array_rand($parts)];
                $pattern .= $one;
                $regex .= ['[any]' => '.*', '[word]' => '\S+'][$one] ?? $one;
            }
            for ($letter = mt_rand(0, 8); $letter > 0; $letter--) {
                $text .= 'ab '[mt_rand(0, 2)];
            }
            self::assertSame(
                preg_match("/^(?:$regex)\$/Ds", $text) === 1,
                SayingPattern::of($pattern)->matches($text),
                "“{$pattern}” and “{$text}”",
            );
        }
    }

    public function test_every_expectation_can_be_of_a_line_or_of_all(): void
    {
        self::assertSame(['memory', 'changes', 'asks', 'at_most', 'share'], Expecting::keys(true));
        self::assertCount(12, Expecting::keys(false));
    }

    private static function played(string $text, Pack $pack): ScriptResult
    {
        [$script, $findings] = ScriptFormat::read($text, $pack);
        self::assertSame([], array_map(static fn (Finding $one): string => "{$one->at} {$one->sentence()}", $findings));
        self::assertNotNull($script);

        return (new ScriptRun($pack, ChatProfile::stream()))->of($script);
    }

    private static function demo(string $more = '{'): Pack
    {
        $demo = (string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json');

        return PackFormat::read($more.mb_substr($demo, 1))[0];
    }

    private static function waiting(): Pack
    {
        return self::demo('{"from_chat": {"waits": true},');
    }

    private static function script(string $chat): string
    {
        return "format: silver-parrot-script\nversion: 1\ntitle: A test\nstart:\n  seed: \"7\"\n"
            ."  cast: [{login: tamsin, name: Tamsin, record: {pebbles: \"7\"}}, {login: odo, name: Odo}]\n"
            ."  memory: {counters: {bells: 3}}\n  channel: {live: true, category: Planking}\n"
            .($chat === '' ? "chat: []\n" : "chat:\n$chat");
    }

    private static function small(): Pack
    {
        $free = 'cooldown: {channel: 0, person: 0}';
        [$pack, $findings] = PackFormat::read(<<<YAML
            format: silver-parrot-pack
            version: 2
            channel: {login: lantern_cove, name: Lantern Cove}
            flood: {person: 0, channel: 0}
            counters: [{name: bells, scope: channel}]
            fields: [{name: pebbles, type: points}]
            lookups:
              - name: tide
                address: https://sources.harbour.example/tide/{port}
                parameters: [{name: port, default: "7"}]
                readings: [{name: high, path: high}]
            commands:
              - {trigger: "!say", responses: [{text: "[words]"}], $free}
              - {trigger: "!bell", responses: [{text: "[add 1 to counter.bells]"}], $free}
              - {trigger: "!luck", responses: [{text: "[roll 1 to 6]"}], $free}
              - {trigger: "!tide", responses: [{text: "[lookup.tide.high or “none”]"}], $free}
              - {trigger: "!hush", responses: [{text: "x"}], levels: {at_least: moderator}}
              - trigger: "!where"
                responses: [{text: "[channel.category], [when channel.live]live[else]offline[end]"}]
                $free
            YAML);
        self::assertSame([], array_map(static fn (Finding $one): string => "{$one->at} {$one->sentence()}", $findings));

        return $pack;
    }

    private static function json(string $yaml): string
    {
        return json_encode(Yaml::parse($yaml, Yaml::PARSE_OBJECT_FOR_MAP), JSON_THROW_ON_ERROR);
    }
}
