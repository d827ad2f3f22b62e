<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Coverage\Coverable;
use SilverParrot\Rehearsal\Coverage\CoverableKind;
use SilverParrot\Rehearsal\Coverage\Coverables;
use SilverParrot\Rehearsal\Coverage\Coverage;
use SilverParrot\Rehearsal\Coverage\PackCoverage;
use SilverParrot\Rehearsal\Coverage\Reached;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Rehearsal\Scripts\ScriptRun;
use SilverParrot\Rehearsal\Suggest\Suggestion;
use SilverParrot\Rehearsal\Suggest\Suggestions;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;

/** What scripts reach of a command, and which scripts are suggested to reach the rest. */
final class CoverageTest extends TestCase
{
    private const START = '2026-11-25T19:00:00Z';

    public function test_what_there_is_to_reach_is_what_stands_in_the_command(): void
    {
        $pack = self::pack([
            'trigger' => '!try',
            'responses' => [[
                'text' => '[when words is "x"]X[else when counter.bells > 3]many[else]'
                    .'[target or "nobody"] [words | upper | default "-"] [either "a", "b"] [list.knots] '
                    .'[lookup.tide.high or "?"][end]',
            ], ['text' => 'plain']],
            'cooldown' => ['channel' => 5, 'person' => 0],
            'levels' => ['at_least' => 'regular'],
        ]);
        $found = array_map(
            static fn (Coverable $one): string => trim("{$one->kind->value} {$one->name}"),
            Coverables::of(self::command($pack, '!try'), $pack),
        );
        sort($found);
        self::assertSame([
            'branch [else when counter.bells > 3]',
            'branch [when words is "x"]',
            'closed channel cooldown',
            'closed level',
            'closed where it was typed',
            'fallback "-"',
            'fallback "?"',
            'fallback "nobody"',
            'items knots',
            'option "a"',
            'option "b"',
            'otherwise [else when counter.bells > 3]',
            'reply 1',
            'reply 2',
            'unanswered tide',
        ], $found);
    }

    public function test_lines_reach_what_they_come_to_and_nothing_else(): void
    {
        $pack = self::pack([
            'trigger' => '!try',
            'responses' => [['text' => '🦜 [when words]W [either "a", "b"][else][target or "nobody"][end]']],
            'cooldown' => ['channel' => 0, 'person' => 5],
        ]);
        $missing = static fn (string ...$lines): array => array_map(
            static fn (Coverable $one): string => trim("{$one->kind->value} {$one->name}"),
            (new Coverage(
                Coverables::of(self::command($pack, '!try'), $pack),
                self::reached($pack, ...array_values($lines)),
            ))->missing(),
        );
        $options = ['option "a"', 'option "b"'];
        $fallback = 'fallback "nobody"';
        $rest = ['closed where it was typed', 'closed person cooldown'];
        self::assertSame(
            ['reply', 'branch [when words]', 'otherwise [when words]', ...$options, $fallback, ...$rest],
            $missing('hello'),
        );
        self::assertSame(['branch [when words]', ...$options, ...$rest], $missing('!try'));
        $after = $missing('!try x', '!try y');
        self::assertSame(['otherwise [when words]', $fallback, 'closed where it was typed'], array_values(
            array_diff($after, $options),
        ));
        self::assertCount(1, array_intersect($after, $options), 'one of two was drawn');
        $else = Coverables::of(self::command($pack, '!try'), $pack)[2];
        self::assertSame(CoverableKind::Otherwise, $else->kind);
        self::assertSame('[else]', mb_substr(
            '🦜 [when words]W [either "a", "b"][else][target or "nobody"][end]',
            $else->span->from ?? 0,
            ($else->span->to ?? 0) - ($else->span->from ?? 0),
        ));
    }

    public function test_what_a_text_was_is_not_reached_by_what_it_is(): void
    {
        $of = static fn (string $text): Pack => self::pack([
            'trigger' => '!try',
            'responses' => [['text' => $text]],
            'cooldown' => ['channel' => 0, 'person' => 0],
        ]);
        $before = $of('[when words]yes[else]no[end]');
        $after = $of('[when words]yes[else]not[end]');
        $reached = self::reached($before, '!try', '!try x');
        $kinds = static fn (Pack $pack): array => array_map(
            static fn (Coverable $one): CoverableKind => $one->kind,
            array_filter(
                (new Coverage(Coverables::of(self::command($pack, '!try'), $pack), $reached))->missing(),
                static fn (Coverable $one): bool => $one->kind !== CoverableKind::Closed,
            ),
        );
        self::assertSame([], $kinds($before));
        self::assertSame([CoverableKind::Branch, CoverableKind::Otherwise], array_values($kinds($after)));
    }

    /** Whatever an evening reaches stands among what there is to reach: both go by the same names. */
    public function test_a_whole_evening_reaches_only_what_there_is(): void
    {
        $pack = self::demo();
        $there = [];
        foreach (PackCoverage::of($pack, [])->commands as $coverage) {
            foreach ($coverage->all as $one) {
                $there += array_fill_keys($one->keys, true);
            }
        }
        $rehearsal = new Rehearsal($pack, new InitialState(channel: ['live' => true]), '7', ChatProfile::stream());
        $crowd = new Crowd(new CrowdDescription(40, 60, 1_500), $pack, '7');
        $start = Moment::fromIso(self::START) ?? self::fail();
        $reached = Reached::in(Runner::each($rehearsal, $crowd->events($start), $start))->keys;
        self::assertGreaterThan(60, count($reached));
        $written = $ids = [];
        foreach ($pack->commands as $command) {
            $ids[] = $command->id;
            foreach ($command->sources() as $text) {
                $written[hash('xxh64', $text)] = true;
            }
        }
        // Timers and the flood limit are of no command's own, nor is what a step falls back on; and that one of several
        // conditions does not hold is nothing by itself.
        $unknown = array_filter(array_keys(array_diff_key($reached, $there)), static fn (string $key): bool => match (
            explode("\x1F", $key)[0]
        ) {
            'place' => isset($written[explode("\x1F", $key)[2]]) && ! str_ends_with($key, 'no'),
            'closed' => ! str_contains($key, 'flood'),
            'reply' => in_array(explode("\x1F", $key)[1], $ids, true),
            default => true,
        });
        self::assertSame([], array_values($unknown));
        $coverage = PackCoverage::of($pack, $reached);
        self::assertGreaterThan(20, $coverage->percent());
        self::assertLessThan(100, $coverage->percent());
        self::assertSame([], array_filter(
            $coverage->incomplete(),
            static fn (Coverage $one): bool => $one->missing() === [],
        ));
    }

    /** What takes two circumstances, luck, an hour, goods, points, or a counter's end is found as well. */
    public function test_scripts_are_suggested_until_all_is_reached(): void
    {
        $pack = self::pack([
            'trigger' => '!try',
            'responses' => [[
                'text' => '[add 1 to counter.bells][roll 1 to 50 as luck][when luck > 48]![end]'
                    .'[when words is "aye"]aye[else when counter.bells > 90]late'
                    .'[else when channel.category is "Varnish"]shiny[else]'
                    .'[target or "nobody"][end] [when occasion.leak]wet[end] [list.knots]',
            ]],
            'held' => [['goods' => 'lantern']],
            'hours' => ['from' => '06:00', 'to' => '11:00', 'days' => ['sat', 'sun']],
            'at_most' => ['person_stream' => 3],
            'cost' => ['points' => 5],
            'cooldown' => ['channel' => 5, 'person' => 30],
        ]);
        [$suggested, $missing] = self::suggested($pack, '!try');
        self::assertSame([], array_map(static fn (Coverable $one): string => $one->name, $missing));
        $titles = implode("\n", array_map(static fn (Suggestion $one): string => $one->title(), $suggested));
        self::assertStringContainsString('everybody has some lantern', $titles);
        self::assertStringContainsString('once it may be used', $titles);
        self::assertStringContainsString('counter.bells at its floor (0)', $titles);
        self::assertStringContainsString('counter.bells at its ceiling (99)', $titles);
    }

    /** One look-up finds the number that another is asked with: it is tried with what the first is tried with. */
    public function test_each_look_up_behind_a_reply_fails_in_some_script(): void
    {
        [$suggested, $missing] = self::suggested(self::demo(), '!tide');
        self::assertSame([], $missing);
        $titles = array_map(static fn (Suggestion $one): string => $one->title(), $suggested);
        self::assertContains('!tide, the look-up tide down', $titles);
        self::assertContains('!tide, the look-up ports down', $titles);
        self::assertStringContainsString('High water at Porth:', $suggested[0]->text);
    }

    public function test_each_suggestion_is_a_document_that_holds(): void
    {
        $pack = self::demo();
        $triggers = ['!splinter', '!plank', '!dry', '!luck', '!kindle', '!tide', '!knot'];
        foreach ($triggers as $trigger) {
            [$suggested] = self::suggested($pack, $trigger);
            self::assertNotSame([], $suggested, $trigger);
            foreach ($suggested as $one) {
                [$read, $findings] = ScriptFormat::read($one->text, $pack);
                self::assertSame([], $findings, $one->text);
                self::assertNotNull($read);
                $result = (new ScriptRun($pack, ChatProfile::stream()))->of($read, true);
                self::assertTrue($result->holds(), $one->text);
                self::assertNotSame([], $result->checked);
                $again = Reached::in($result->heard)->keys;
                foreach ($one->reaches as $reached) {
                    self::assertFalse($reached->isMissing($again), "$trigger {$reached->name}");
                }
            }
        }
    }

    public function test_nothing_is_suggested_where_nobody_can_type_it(): void
    {
        $pack = self::pack([
            'trigger' => 'gull alarm',
            'name_only' => true,
            'responses' => [['text' => 'Gulls!']],
        ]);
        self::assertSame([], self::suggested($pack, 'gull alarm')[0]);
    }

    public function test_a_phrase_is_said_where_nobody_can_type_a_trigger(): void
    {
        $pack = self::pack([
            'trigger' => 'gull alarm',
            'name_only' => true,
            'responses' => [['text' => 'Gulls!']],
            'phrases' => [['text' => 'a (gull/tern) .. landed', 'cooldown' => 90]],
            'cooldown' => ['channel' => 5, 'person' => 0],
        ]);
        [$suggested, $missing] = self::suggested($pack, 'gull alarm');
        self::assertSame([], $missing);
        self::assertSame(['Gulls!'], $suggested[0]->result->said(0));
        self::assertStringContainsString('tamsin: a gull landed', $suggested[0]->text);
    }

    /** @return array{list<Suggestion>, list<Coverable>} */
    private static function suggested(Pack $pack, string $trigger): array
    {
        $at = Moment::fromIso(self::START) ?? self::fail();
        [$answers] = CannedAnswersFormat::read(
            (string) file_get_contents(dirname(self::example()).'/lantern-cove.readings.json'),
            $pack->lookups,
            $at,
        );
        $suggestions = new Suggestions(
            $pack,
            (new InitialState(channel: ['category' => 'Planking']))->withAnswers($answers),
            ChatProfile::stream(),
            new MessageKeys,
            self::command($pack, $trigger),
            $at,
            '7',
        );

        return [$suggestions->all(), $suggestions->missing()];
    }

    /** @return array<string, true> */
    private static function reached(Pack $pack, string ...$lines): array
    {
        $script = "title: t\nchat:\n";
        foreach (array_values($lines) as $place => $line) {
            $script .= "  - line: \"+{$place}s tamsin: $line\"\n";
        }
        [$read, $findings] = ScriptFormat::read("format: silver-parrot-script\nversion: 1\n$script", $pack);
        self::assertSame([], $findings);
        self::assertNotNull($read);

        return Reached::in((new ScriptRun($pack, ChatProfile::stream()))->of($read, true)->heard)->keys;
    }

    private static function command(Pack $pack, string $trigger): Command
    {
        return $pack->command($trigger) ?? array_values(array_filter(
            $pack->commands,
            static fn (Command $one): bool => $one->trigger === $trigger,
        ))[0];
    }

    /** @param  array<string, mixed>  $command */
    private static function pack(array $command): Pack
    {
        $demo = json_decode((string) file_get_contents(self::example()), true);
        self::assertIsArray($demo);
        $demo['commands'] = [$command];
        $demo['timers'] = [];
        $demo['counters'] = [...$demo['counters'], ['name' => 'bells', 'floor' => 0, 'ceiling' => 99]];
        $demo['counters'] = array_values(array_column($demo['counters'], null, 'name'));
        [$pack, $findings] = PackFormat::read(json_encode($demo, JSON_THROW_ON_ERROR));
        self::assertSame([], array_filter($findings, static fn ($one): bool => $one->isError()));

        return $pack;
    }

    private static function demo(): Pack
    {
        return PackFormat::read((string) file_get_contents(self::example()))[0];
    }

    private static function example(): string
    {
        return __DIR__.'/../../../docs/examples/lantern-cove.pack.json';
    }
}
