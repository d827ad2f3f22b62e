<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Level;
use SilverParrot\Checks\AbstractCheck;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\StreamState;
use SilverParrot\Hearing\Gates\WhileStream;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\ExtraParts;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldLimits;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

final class ChecksTest extends TestCase
{
    public function test_nothing_is_found_on_the_demo(): void
    {
        [$pack] = PackFormat::read(
            (string) file_get_contents(__DIR__.'/../../../docs/examples/lantern-cove.pack.json'),
        );
        self::assertSame(
            [],
            array_map(
                static fn (Finding $finding): string => "{$finding->at} {$finding->sentence()}",
                Checks::of($pack, CheckEnvironment::at(Moment::fromIso('2026-11-25'))),
            ),
        );
    }

    public function test_a_check_that_fails_says_so_and_hinders_no_other(): void
    {
        $pack = new Pack(World::pack()->channel, commands: [Say::on('!a', '[caler]')]);
        $broken = new class implements \SilverParrot\Checks\Check
        {
            public function look(\SilverParrot\Checks\CheckContext $at): array
            {
                throw new \TypeError('an int was expected');
            }
        };
        $found = Checks::look(\SilverParrot\Checks\CheckContext::at($pack, new CheckEnvironment), [
            $broken,
            ...Checks::all(),
        ]);
        self::assertSame('not-looked-at', $found[0]->kind->code());
        self::assertStringContainsString('ChecksTest.php', $found[0]->sentence());
        self::assertContains('unknown-name', array_map(static fn (Finding $one): string => $one->kind->code(), $found));
    }

    public function test_conditions_however_many_are_looked_at_without_trying_all_that_can_be(): void
    {
        foreach (
            [
                'words contains "x%d"',
                'words is "%d"',
                'word 1 > %d',
                'counter.planks + %d > 5',
                'roll 6 is %d',
                'caller is "u%d"',
                'words',
            ] as $form
        ) {
            foreach ([' or ', ' and '] as $between) {
                $conditions = implode(
                    $between,
                    array_map(static fn (int $i): string => sprintf($form, $i), range(1, 66)),
                );
                self::assertNotContains(
                    'not-looked-at',
                    array_map(
                        static fn (Finding $one): string => $one->kind->code(),
                        Checks::of(
                            new Pack(World::pack()->channel, commands: [Say::on('!a', "[when $conditions]x[end]")]),
                        ),
                    ),
                    $form,
                );
            }
        }
    }

    public function test_findings_point_into_the_pack(): void
    {
        self::assertSame(
            [
                '/commands/0/responses/1/text unknown-name',
                '/commands/0/refusals/level unknown-part',
                '/commands/0/if_it_fails empty-slot',
                '/commands/0/refusals/level refusal-never-said',
            ],
            $this->found(
                Say::on('!a', 'fine', '[caler]')->refusing(ForLevels::refusal(), '[caller.nme]')->failing('[]'),
            ),
        );
    }

    public function test_a_trigger_that_is_taken_is_found_where_it_comes_second(): void
    {
        $say = ['x'];
        self::assertSame(
            ['/commands/1/trigger trigger-taken', '/commands/1/aliases/1 trigger-taken'],
            $this->found(
                Say::on('!tide', ...$say)->alsoOn('!flow'),
                Say::on('!FLOW', ...$say)->alsoOn('!ebb', '!tide'),
            ),
        );
        self::assertSame([], $this->found(Say::on('!tide', ...$say)->alsoOn('!flow'), Say::on('!ebb', ...$say)));
    }

    public function test_a_command_with_nothing_to_say_is_found_unless_it_is_switched_off(): void
    {
        self::assertSame(['/commands/0/responses nothing-to-say'], $this->found(Say::on('!a', " \u{200B}")));
        self::assertSame([], $this->found(Say::on('!a')->gated(new Enabled(false))));
    }

    public function test_a_pack_whose_definitions_make_no_sense_is_told_so(): void
    {
        $used =
            '[counter.a][counter.b][counter.c][list.blank][list.fine]'
            .'[caller.pebbles][caller.born][caller.boat][caller.rank]';
        $pack = new Pack(
            World::pack()->channel,
            commands: [Say::on('!a', $used)->gated(new Cooldown(0, 5))],
            lists: [
                'blank' => new TextList('blank', [new WeightedText(' '), new WeightedText('')]),
                'fine' => new TextList('fine', [new WeightedText('x')]),
            ],
            counters: [
                'a' => new Counter('a', floor: 5, ceiling: 2),
                'b' => new Counter('b', start: 7, floor: 0, ceiling: 5),
                'c' => new Counter('c'),
            ],
            fields: [
                'pebbles' => new Field('pebbles', FieldType::Points, 'many'),
                'born' => new Field('born', FieldType::Moment),
                'boat' => new Field('boat'),
            ],
            cast: [
                new CastMember('odo', 'Odo', record: ['pebbles' => 'lots', 'boat' => 'Heron']),
                new CastMember('ODO', 'Odo'),
            ],
            ladders: [
                'boat' => new Ladder('boat', [1 => 'a', 2 => 'b']),
                'ships' => new Ladder('ships', [1 => 'a']),
                'pebbles' => new Ladder('pebbles', [1 => 'Mate', 5 => 'mate']),
            ],
        );
        self::assertSame(
            [
                '/counters/0 counter-out-of-bounds',
                '/counters/1 counter-out-of-bounds',
                '/fields/0/start start-does-not-fit',
                '/ladders/0 ladder-makes-no-sense',
                '/ladders/1 ladder-makes-no-sense',
                '/ladders/2 ladder-makes-no-sense',
                '/cast/0 cast-does-not-fit',
                '/cast/1 cast-does-not-fit',
                '/lists/0 list-of-blanks',
            ],
            array_values(
                array_filter(
                    array_map(static fn (Finding $one): string => "{$one->at} {$one->kind->code()}", Checks::of($pack)),
                    static fn (string $one): bool => ! str_starts_with($one, '/commands/'),
                ),
            ),
        );
    }

    public function test_a_command_for_people_who_may_not_change_what_it_changes_is_found(): void
    {
        $moderators = new ChangeRule(new LevelRule(atLeast: Level::Moderator));
        $pack = static fn (Command ...$commands): Pack => new Pack(
            World::pack()->channel,
            commands: array_values($commands),
            counters: ['spills' => new Counter('spills', changes: $moderators)],
            fields: [
                'boat' => new Field('boat', changes: new ChangeRule(ownOnly: true)),
                'age' => new Field('age', FieldType::Number, '200', limits: new FieldLimits(0, 120)),
            ],
        );
        $found = static fn (string $text, ?ForLevels $gate = null): array => array_values(array_filter(array_map(
            static fn (Finding $one): string => $one->kind->code() === 'may-not-change' ? $one->sentence() : '',
            Checks::of($pack($gate === null ? Say::on('!a', $text) : Say::on('!a', $text)->gated($gate))),
        )));
        $spills = 'This command is for everyone, but only moderators and up may change counter.spills.';
        self::assertSame([$spills], $found('[add 1 to counter.spills]'));
        self::assertSame([$spills], $found('[when words][set counter.spills to 1][end]'));
        self::assertSame([], $found('[counter.spills]'));
        self::assertSame([], $found('[add 1 to counter.spills]', ForLevels::atLeast(Level::Moderator)));
        self::assertSame([], $found('[add 1 to counter.spills]', ForLevels::anyOf(Level::Editor)));
        self::assertCount(1, $found('[add 1 to counter.spills]', ForLevels::anyOf(Level::Vip, Level::Editor)));
        self::assertSame([], $found('[set caller.boat to words]'));
        self::assertCount(1, $found('[set target.boat to words]'));
        self::assertSame([], $found('[set target.boat to words]', ForLevels::atLeast(Level::Moderator)));
        self::assertContains(
            '/fields/1/start start-does-not-fit',
            array_map(static fn (Finding $one): string => "{$one->at} {$one->kind->code()}", Checks::of($pack())),
        );
    }

    public function test_extra_parts_are_of_an_address_alone(): void
    {
        $found = static fn (Fact $fact): array => array_map(
            static fn (Finding $one): string => "{$one->at} {$one->kind->code()}",
            Checks::of(new Pack(World::pack()->channel, facts: ['a' => $fact])),
        );
        $part = ['chat' => 'from=chat'];
        self::assertSame([], array_filter(
            $found(new Fact('a', 'https://cove.example/a', parts: $part)),
            static fn (string $one): bool => str_contains($one, 'parts'),
        ));
        foreach (['the shed', 'at https://cove.example', 'https://a.example https://b.example', ''] as $text) {
            self::assertContains('/facts/0/parts parts-without-address', $found(new Fact('a', $text, parts: $part)));
        }
    }

    public function test_what_is_added_to_an_address_stands_where_a_reader_of_addresses_finds_it(): void
    {
        // parse_url and parse_str are PHP's own readers of RFC 3986 and of forms.
        foreach (['', '/', '/x?y=1', '#z'] as $end) {
            $one = "https://a.example$end";
            $was = parse_url($one);
            $is = parse_url(ExtraParts::addTo($one, ['from=chat', '/join', 'who=odo', '#end']));
            self::assertIsArray($was);
            self::assertIsArray($is);
            self::assertSame($was['host'] ?? '', $is['host'] ?? '');
            self::assertSame(rtrim($was['path'] ?? '', '/').'/join', $is['path'] ?? '');
            self::assertSame('end', $is['fragment'] ?? '');
            parse_str($was['query'] ?? '', $before);
            parse_str($is['query'] ?? '', $after);
            self::assertSame($before + ['from' => 'chat', 'who' => 'odo'], $after);
        }
        self::assertSame(2, ExtraParts::typed("chat from=chat\nno part here\n"));
        self::assertSame(1, ExtraParts::typed('chat <b>'));
        self::assertSame(['chat' => 'a=1'], ExtraParts::typed("\n chat   a=1 \n"));
    }

    public function test_a_part_of_an_outcome_is_found_where_there_is_none(): void
    {
        $command = Say::on('!a', 'Wait [outcome.left], [outcome.reason or "friend"].[when outcome.needs]x[end]')
            ->gated(ForLevels::atLeast(Level::Moderator))
            ->refusing(ForLevels::refusal(), 'For [outcome.needs], [outcome.name]: [outcome.left]')
            ->refusing(Cooldown::refusal(), 'In [outcome.left | short]')
            ->failing('[outcome.reason] [outcome.name]');
        self::assertSame(
            [
                '/commands/0/responses/0/text outcome-out-of-place',
                '/commands/0/refusals/level outcome-out-of-place',
                '/commands/0/if_it_fails outcome-out-of-place',
            ],
            array_values(
                array_filter(
                    $this->found($command),
                    static fn (string $one): bool => str_ends_with($one, 'outcome-out-of-place'),
                ),
            ),
        );
    }

    public function test_a_trigger_that_every_second_line_begins_with_is_found(): void
    {
        self::assertSame(
            ['/commands/0/trigger trigger-too-common', '/commands/0/aliases/0 trigger-too-common'],
            $this->found(Say::on('!', 'x')->alsoOn('Hello', '!hello')),
        );
        self::assertSame([], $this->found(Say::on('hi', 'x')->gated(new Enabled(false)), Say::on('!ahoy', 'x')));
        self::assertSame(
            ['/commands/0/trigger trigger-without-sign', '/commands/0/aliases/1 trigger-without-sign'],
            $this->found(Say::on('ahoy', 'x')->alsoOn('?ahoy', 'social')),
        );
    }

    public function test_a_plural_without_the_forms_of_the_language_is_found(): void
    {
        $found = static fn (string $language, string $text): array => array_map(
            static fn (Finding $one): string => $one->sentence(),
            array_values(
                array_filter(
                    Checks::of(new Pack(World::pack($language)->channel, commands: [Say::on('!a', $text)])),
                    static fn (Finding $one): bool => $one->kind->code() === 'plural-forms-missing',
                ),
            ),
        );
        self::assertSame([], $found('en', '[roll 6 | plural "# plank" "# planks"]'));
        self::assertSame(
            ['This language has other words for “few” and “many” as well.'],
            $found('pl', '[roll 6 | plural "# deska" "# deski"]'),
        );
        self::assertSame(
            [],
            $found('pl', '[roll 6 | plural one="# deska" few="# deski" many="# desek" other="# deski"]'),
        );
    }

    /**
     * @return iterable<string, array{string, string}> a response, and what is found in it: code, span, replacement;
     *     empty for silence
     */
    public static function texts(): iterable
    {
        $cases = [
            // placeholder
            'See TODO for more.' => 'placeholder 4-8',
            'Join at your link here, <name>!' => 'placeholder 8-22; foreign-slot 24-30 [caller]',
            'Ask {user} about https://example.com' => 'placeholder 17-36; foreign-slot 4-10 [caller]',
            'What??? is {count} of XXX' => 'placeholder 4-7; placeholder 22-25; foreign-slot 11-18',
            // foreign-slot
            'Hi ${user}, $(recipient) and {{ sender }}!'
                => 'foreign-slot 3-10 [caller]; foreign-slot 12-24 [target]; foreign-slot 29-41 [caller]',
            '%game% with <viewers> at $(random 1-100) {planks} {1} {2: }'
                => 'foreign-slot 0-6 [channel.category]; foreign-slot 12-21 [channel.viewers]; '
                    .'foreign-slot 25-40 [roll 1 to 100]; foreign-slot 41-49 [counter.planks]; '
                    .'foreign-slot 50-53 [word 1]; foreign-slot 54-59 [word 2]',
            '{display_name} {viewerCount}' => 'foreign-slot 0-14 [caller]; foreign-slot 15-28 [channel.viewers]',
            '{gullwax} {user.name} $(eval x)' => 'foreign-slot 0-9; foreign-slot 10-21 [caller]; foreign-slot 22-31',
            '100% of 5%, <3, a < b > c, {} () $5 https://cove.example/%D0%B0%20x' => '',
            // level-is-highest
            '[when caller.level is "subscriber"]x[end][when target.level is not "VIP"]y[end]'
                => 'level-is-highest 6-34 caller.levels contains "subscriber"; '
                    .'level-is-highest 47-72 not target.levels contains "vip"',
            '[when caller.level is "moderator"]x[end][when caller.level >= "vip"]y[end][when caller.level is one of '
                .'"vip", "editor"]z[end][when caller.levels contains "subscriber"]s[end]' => '',
            // stray-bracket
            'caller] says hi' => 'stray-bracket 6-7 ',
            '[[sic] and [[[caller]] :] =] hm]' => 'stray-bracket 31-32 ',
            'xxx kisses' => '',
            'To do or not to do… what?? [caller]' => '',
            'We todos < 3 > 2, and Xxavier.' => '',
            // day-has-passed
            'Open until 2026-11-24, then closed.' => 'day-has-passed 11-21',
            'The regatta of 3 March 2025 and 1. Dec 2026' => 'day-has-passed 15-27',
            'Closed until the end of 2025.' => 'day-has-passed 7-28',
            'Since 2019, until 2026, on 2026-11-25.' => '',
            'Founded 12 May 1998, at the slip since 2001-02-03' => '',
            // address-stuck
            'See https://cove.example/map, or ask.' => 'address-stuck 28-29  ,',
            'map:https://cove.example/map' => 'address-stuck 3-4 : ',
            'https://cove.examplehttps://far.example' => 'address-stuck 20-28  https://',
            '(https://cove.example/map ) and https://far.example' => '',
            'Search https://cove.example/?q=[words or "x" | cut 9 | url]. Or https://cove.example/[target or "x" | '
                .'cut 9 | url]!' => 'address-stuck 59-60  .; address-stuck 114-115  !',
            'https://cove.example/map… “https://cove.example/a” https://cove.example/b。 «https://cove.example/c» '
                .'https://cove.example/d🦜' => 'address-stuck 24-25  …; address-stuck 49-50  ”; address-stuck 73-74  '
                .'。; address-stuck 98-99  »; address-stuck 122-123  🦜',
            'https://cove.example/Knot_(rope) (https://cove.example/map) See https://cove.example/map. And (see '
                .'https://cove.example/Knot_(rope))' => '',
            'https://cove.example/?to=https://far.example/map and https://cove.example/https://far.example' => '',
            // address-unescaped
            'https://cove.example/?q=[words or "x"]'
                => 'address-unescaped 24-38 [words or "x" | url]; grows-too-long 24-38 [words or "x" | cut 476]',
            'https://cove.example/[target or "x" | url]/[roll 1 to 6] [caller]' => '',
            'https://cove.example/[counter.planks]/[caller.pebbles]/[roll 6]?n=[list.knots.size]' => '',
            'https://cove.example/[when words][words | cut 9 | url][else][caller.boat or "x"][end]'
                => 'address-unescaped 60-80 [caller.boat or "x" | url]',
            'https://cove.example/[either "a b", "c" as what] [what]'
                => 'address-unescaped 21-48 [either "a b", "c" | url as what]',
            // conditions
            '[when counter.planks]x[end]' => 'count-as-condition 6-20 counter.planks > 0',
            '[when caller.pebbles]x[end][when counter.planks + 1]y[end][when target.pebbles]z[end]'
                => 'count-as-condition 6-20 caller.pebbles > 0; count-as-condition 33-51 counter.planks + 1 > 0',
            '[when counter.planks > 0]x[end][when caller.boat]y[end]' => '',
            '[when word 1 is "a" or "b"]x[end]' => 'or-with-constant 23-26',
            '[when word 1 is one of "a", "b" or "c"]x[end][when words is "a" or words is "b"]y[end]' => '',
            '[when words or word 1 is "x"]y[end]' => 'or-beside-comparison 6-28',
            '[when words or (word 1 is "x")]y[end]' => '',
            // never-holds: planks 0 to 1000, ballast 5 to 12
            '[when counter.planks < 0]x[end]' => 'never-holds 6-24',
            '[when roll 1 to 6 > 6]x[end][when roll 6 >= 1]y[end]' => 'never-holds 6-21; never-holds 34-45',
            '[when counter.ballast > 12 or counter.ballast < 5]x[end]' => 'never-holds 6-49',
            '[when not counter.ballast <= 12]x[end]' => 'never-holds 6-31',
            '[when counter.planks > 10 and counter.planks < 5]x[end]' => 'never-holds 6-48',
            '[when counter.planks > 5]a[else when counter.planks > 10]b[end]' => 'never-holds 37-56',
            '[when counter.planks > 10]a[else when counter.planks > 5]b[end][when counter.ballast is 12]c[end][when '
                .'counter.planks + 1 > 1001]d[end]' => 'never-holds 103-128',
            '[when caller.pebbles > 99]x[end][when word 1 > 3]y[end][when counter.visits > -1]z[end]' => '',
            // name-never-used
            '[roll 1 to 6 as luck]!' => 'name-never-used 0-21',
            '[roll 1 to 6 as luck]![when luck > 3] Well![end]' => '',
            // can-be-nothing
            'Ahoy [target]!' => 'can-be-nothing 5-13',
            'You said [words | upper].' => 'can-be-nothing 9-24; grows-too-long 9-24 [words | upper | cut 490]',
            '[when target]Ahoy [target]![else]Ahoy all![end]' => '',
            '[when words]You said [words | cut 90].[else when word 2]x[end] [words or "so" | cut 90] [words | default '
                .'"x" | cut 90]' => '',
            '[take word 2 from caller.pebbles | quiet][add 1 to target.pebbles | quiet][target] got [word 2].'
                => 'can-fail 0-41',
            'The last leak was [occasion.leak | ago], and [caller] sails [caller.boat].'
                => 'can-be-nothing 18-39; can-be-nothing 60-73',
            '[when occasion.leak]Dry for [since occasion.leak | in days].[end] [caller.pebbles] [caller.boat or "none"]'
                => '',
            // can-fail
            '[lookup.tide.high] feet, or [100 / counter.planks] each' => 'can-fail 0-18; can-fail 28-50',
            '[lookup.tide.high or "no"] [100 / counter.planks or 0] [100 / counter.ballast] [10 % 3][when '
                .'counter.planks > 0][5 / counter.ballast][end]' => '',
            '[when lookup.tide.high]It is [lookup.tide.high].[end]' => 'can-fail 0-23',
            '[roll word 1]' => 'can-fail 0-13',
            '[add 1 to counter.planks] [add word 1 or 1 to counter.planks] [add word 1 to counter.ballast]'
                => 'can-fail 26-61; can-fail 62-93',
            '[lookup.tide.high is nothing] [lookup.tide.high | default 0]' => '',
            // always-fails
            '[now * 2][now + now][since 5][since "yesterday"][counter.planks | date][words | cut 0]'
                => 'always-fails 0-9; always-fails 9-20; always-fails 20-29; always-fails 29-48; always-fails 48-71; '
                    .'always-fails 71-86',
            '[add -1 to counter.planks][add 1 to caller.boat][top 0 by pebbles]["a" + "b"][counter.planks / 0][roll '
                .'0][set counter.planks to '
                .'"many"]' => 'always-fails 0-26; always-fails 26-48; always-fails 48-66; always-fails 66-77; '
                .'always-fails 77-97; always-fails 97-105; always-fails 105-135',
            '[take 0.5 from caller.pebbles][add 1 to occasion.leak][1 | round 9][words / 0][now | in days][caller | '
                .'scores]' => 'always-fails 0-30; always-fails 30-54; always-fails 54-67; always-fails 67-78; '
                .'always-fails 78-93; always-fails 93-110',
            '[1 / 0 or "x"] ["a" + 1 | default 5] [(1 / 0) is nothing] [1 / 0 | quiet as nought]x[nought or 1] [now + '
                .'"2 days"] ["5" + 1]' => '',
            '[when words][5 | ago | quiet as n][end][when n is "a"]x[end]' => '',
            '[when words][1 / 0][else]x[end][when 1 / 0]y[end][when words]a[else when now * 2]b[end]'
                => 'always-fails 31-43; branch-always-fails 12-19; branch-always-fails 62-81',
            // what is written out and makes no sense
            '[list.knots 99] [list.knots 1] [words 3 to 1 or "x" | cut 9]'
                => 'item-beyond-list 1-14; words-backwards 32-44 words 1 to 3',
            '[when yes]x[end][when 5]y[end]' => 'constant-condition 6-9; constant-condition 22-23',
            '[occasion.leak | date "DD.MM.YYYY"] [today | date "d MMM y"]'
                => 'can-be-nothing 0-35; date-pattern-mistaken 22-34 "dd.MM.yyyy"',
            '[until "2025-01-01"] [until "2027-01-01"] [since "2025-01-01"]' => 'slot-day-has-passed 1-19',
            '[when caller is "shore crew"]x[end][when target.login is "a b"]y[end][when caller is "odo"]z[end]'
                => 'login-with-space 16-28; login-with-space 57-62',
            // grows-too-long
            '[words][words]' => 'typed-text-leads 0-7; can-be-nothing 0-7; can-be-nothing 7-14; grows-too-long 0-7 '
                .'[words | cut 250]',
            '[words | cut 400 as what] and [what]'
                => 'typed-text-leads 0-25; grows-too-long 0-25 [words | cut 247 as what]',
            '[words | cut 240] and [message | cut 240] [words]'
                => 'typed-text-leads 0-17; can-be-nothing 0-17; can-be-nothing 42-49; grows-too-long 0-17 [words | '
                    .'cut 164]',
            '[words] [fact.workshop]' => 'typed-text-leads 0-7; can-be-nothing 0-7; grows-too-long 0-7 [words | cut '
                .'476]',
            '[words]' => 'typed-text-leads 0-7',
            // typed-text-leads
            '  [message | upper | cut 9]' => 'typed-text-leads 2-27',
            '[word 1 or caller | cut 9], you said it.' => 'typed-text-leads 0-26',
            '[caller] says [word 1 or "x" | cut 9]' => '',
            // instruction-by-halves
            '/[words or "x" | cut 9]' => 'instruction-by-halves 1-23',
            ' .b[word 1 or "x" | cut 9] odo' => 'instruction-by-halves 3-26',
            '/me waves to [target or "all"] and /[word 1 or "x" | cut 9]' => '',
            // emotes: coveWave for everyone, coveHammer for subscribers
            'coveWave Ahoy! coveWave! (coveWave)[caller] coveWave [caller]coveWave'
                => 'emote-stuck 15-23 coveWave ; emote-stuck 26-34  coveWave ; emote-stuck 61-69  coveWave',
            'covewave and coveWaev, cove Wave coveWavy' => 'emote-misspelt 0-8 coveWave; emote-misspelt 33-41 coveWave',
            'Mind the coveHammer now' => 'emote-not-for-them 9-19',
            'coveWave https://cove.example/coveWave' => 'emote-stuck 30-38  coveWave',
            // conditions by kinds and known sets
            '[when caller.level is "editor" and caller.level is "moderator"]x[end]' => 'never-holds 6-62',
            '[when caller.level > "editor" and not caller.level is "streamer"]x[end]' => 'never-holds 6-64',
            '[when caller is 5]x[end][when channel.live > 3]y[end]' => 'never-holds 6-17; never-holds 30-46',
            '[when words is "a" and words is "b"]x[end][when words is "a" or words is not "a"]y[end]'
                => 'never-holds 6-35; never-holds 48-80',
            '[when words contains "a" and words contains "b"]x[end][when word 1 is "a"]p[else when word 1 is '
                .'"b"]q[else when word 1 is "a"]r[end]' => 'never-holds 112-125',
            '[when caller.tier is 4]x[end][when caller.tier is 1]a[else when caller.tier is 2]b[else when caller.tier '
                .'is 3]c[else when caller.tier]d[end]' => 'never-holds 6-22',
            '[when counter.planks > counter.ballast]x[end][when counter.ballast * 2 > 30]y[end][when caller.boat is '
                .'"a" or channel.category is "b"]z[end]' => '',
            '[when word 1 < 0]x[end][when word 1 > 0]y[end]' => '',
            '[when caller.boat or occasion.leak]Boat [caller.boat].[end][when caller.boat and occasion.leak]Boat '
                .'[caller.boat].[end]' => 'can-be-nothing 40-53',
            // what one branch asks for is not there in the next
            '[when caller.tier is 3]x[else when caller.tier]y[end]' => '',
            // conditions that may hold, though few values make them so
            '[when counter.planks > 2.5 and counter.planks < 3.5]x[end][when caller.height > 2.2 and caller.height < '
                .'2.3]y[end]' => '',
            '[when caller is word 1]x[end][when word 1 is caller]y[end][when caller.level is word 1]z[end][when word '
                .'1 is word 2]w[end]' => '',
            '[when counter.planks is counter.ballast]x[end][when counter.planks + 3 is counter.ballast]y[end]' => '',
            '[when (lookup.tide.high or 1) > 3]x[end][when (caller.boat or "none") is "none"]y[end]' => '',
            '[when not caller.boat]Name her.[else][set caller.boat to (words | cut 30) | quiet]She is the '
                .'[caller.boat].[end]' => '',
            '[when word 1 is 1]a[else when word 1 is 2]b[else when word 1 is 3]c[else when word 1 is 40]d[else when '
                .'word 1 is 50]e[else when word 1 is 60]f[else when word 1 is 70]g[else when word 1 is 80]h[else when '
                .'word 1 is 90]i[else when word 1 is 1000]j[end]' => '',
            '[when (caller.tier or 7) is 9]x[end]' => 'never-holds 7-29',
            // always-too-long
            str_repeat('Mind the wet paint. ', 26) => 'always-too-long -',
            str_repeat('Mind the wet paint. ', 20) => '',
            // name-from-branch
            '[when words][roll 6 as luck][end] Luck: [luck]' => 'name-from-branch 40-46',
            '[when words][roll 6 as luck]Luck: [luck][end][luck or 0][when luck]: [luck][end]' => '',
        ];
        foreach ($cases as $source => $found) {
            yield $source => [$source, $found];
        }
    }

    #[DataProvider('texts')]
    public function test_what_is_found_in_a_text_and_where_it_stays_silent(string $source, string $expected): void
    {
        $pack = World::pack()->withCommand(Say::on('!a', $source));
        $found = array_values(
            array_filter(
                Checks::ofCommand($pack->commands[0], $pack, CheckEnvironment::at(Moment::fromIso('2026-11-25'))),
                static fn (Finding $finding): bool => $finding->at === '/responses/0/text',
            ),
        );
        self::assertSame(
            $expected,
            implode(
                '; ',
                array_map(
                    static fn (Finding $finding): string => rtrim(
                        "{$finding->kind->code()} {$finding->span?->from}-{$finding->span?->to}"
                            .($finding->replacement === null ? '' : " {$finding->replacement}"),
                        "\n",
                    ),
                    $found,
                ),
            ),
        );
        foreach ($found as $finding) {
            $own = str_replace(array_values($finding->data), '', $finding->sentence().$finding->mend());
            self::assertDoesNotMatchRegularExpression('/[{}]/', $own, 'nothing is left to fill in');
        }
    }

    public function test_what_is_found_on_commands_and_where_it_stays_silent(): void
    {
        $say = ['x'];
        self::assertSame(
            ['/commands/0/trigger trigger-too-long'],
            $this->found(Say::on('!averyveryverylongword', ...$say)),
        );
        self::assertSame(
            [],
            $this->found(
                Say::on('!averyveryverylongword', ...$say)->alsoOn('!short'),
                Say::on('!anotherlongtriggerword', ...$say)->described(new CommandMetadata(listed: false)),
            ),
        );
        self::assertSame(
            ['/commands/0/aliases/0 alias-of-itself', '/commands/0/aliases/2 alias-of-itself'],
            $this->found(Say::on('!tide', ...$say)->alsoOn('!TIDE', '!flow', '!Flow')),
        );
        self::assertSame(
            ['/commands/0/cooldown no-cooldown'],
            $this->found(Say::on('!a', ...$say)->gated(Cooldown::none())),
        );
        $offline = Say::on('!a', 'On for [channel.uptime]')->gated(new WhileStream(StreamState::Offline));
        self::assertContains('/commands/0/responses/0/text nothing-while-offline', $this->found($offline));
        self::assertNotContains(
            '/commands/0/responses/0/text nothing-while-offline',
            $this->found(
                $offline->gated(new WhileStream(StreamState::Live)),
                Say::on('!b', '[channel.title]')->gated(new WhileStream(StreamState::Offline)),
            ),
        );
        $moderators = new LevelRule(atLeast: Level::Moderator);
        self::assertSame(
            [],
            $this->found(
                Say::on('!a', ...$say)->gated(new ForLevels($moderators), Cooldown::none()),
                Say::on('!b', ...$say)->gated(new Cooldown(0)),
                Say::on('!c', ...$say)->gated(Cooldown::none(), new Enabled(false)),
            ),
        );
    }

    public function test_a_category_that_the_service_does_not_have_is_found_where_its_categories_are_known(): void
    {
        $pack = World::pack()->withCommand(
            Say::on(
                '!a',
                '[when channel.category is "Plankng"]x[else when channel.category is one of "planking", '
                    .'"Sailing"]y[end][when caller.boat is "Plankng"]z[end]',
            ),
        );
        $found = static fn (CheckEnvironment $around): array => array_map(
            static fn (Finding $finding): string => "{$finding->span?->from} {$finding->replacement}",
            array_values(
                array_filter(
                    Checks::of($pack, $around),
                    static fn (Finding $finding): bool => $finding->kind->code() === 'unknown-category',
                ),
            ),
        );
        self::assertSame(['26 "Planking"', '87 '], $found(new CheckEnvironment(categories: ['Planking', 'Caulking'])));
        self::assertSame([], $found(new CheckEnvironment));
    }

    public function test_what_is_declared_and_never_used_is_found(): void
    {
        $pack = new Pack(
            World::pack()->channel,
            commands: [Say::on('!a', '[fact.used][list.used][add 1 to counter.used][caller.boat]')],
            facts: ['used' => new Fact('used', 'x'), 'spare' => new Fact('spare', 'y')],
            lists: ['used' => new TextList('used', [new WeightedText('x')])],
            counters: ['used' => new Counter('used'), 'spare' => new Counter('Spare')],
            occasions: ['leak' => new Occasion('leak')],
            fields: ['boat' => new Field('boat'), 'hat' => new Field('hat'), 'oar' => new Field('oar')],
            cast: [new CastMember('pia', 'Pia', record: ['oar' => 'x'])],
        );
        self::assertSame(
            [
                '/facts/1 fact.spare',
                '/counters/1 counter.Spare',
                '/occasions/0 occasion.leak',
                '/fields/1 the field hat',
            ],
            array_map(
                static fn (Finding $finding): string => "{$finding->at} {$finding->data['name']}",
                array_values(
                    array_filter(
                        Checks::of($pack),
                        static fn (Finding $finding): bool => $finding->kind->code() === 'never-used',
                    ),
                ),
            ),
        );
    }

    public function test_what_is_used_by_a_ranking_or_under_another_name_is_used(): void
    {
        $pack = static fn (string $text): Pack => new Pack(
            World::pack()->channel,
            commands: [Say::on('!a', $text)],
            fields: [
                'pebbles' => new Field('pebbles', FieldType::Points),
                'height' => new Field('height', FieldType::Number),
            ],
            goods: ['rope' => new Goods('rope')],
        );
        $unused = static fn (Pack $pack): array => array_map(
            static fn (Finding $finding): string => $finding->data['name'],
            array_values(
                array_filter(
                    Checks::of($pack),
                    static fn (Finding $finding): bool => $finding->kind->code() === 'never-used',
                ),
            ),
        );
        self::assertSame(['goods.rope', 'the field pebbles', 'the field height'], $unused($pack('x')));
        self::assertSame([], $unused($pack('[goods.rope] [top 3 by height] [caller.points]')));
        self::assertSame(['goods.rope', 'the field height'], $unused($pack('[top 3 by points]')));
    }

    public function test_every_check_says_a_sentence_a_mend_and_a_reason(): void
    {
        $codes = [];
        foreach (Checks::all() as $check) {
            if ($check instanceof AbstractCheck) {
                $codes[] = $check->code();
                foreach ([$check->sentence(), $check->mend(), $check->reason()] as $said) {
                    self::assertMatchesRegularExpression('/^[\p{Lu}“{].*\.$/su', $said, $check->code());
                }
            }
        }
        self::assertSame(array_unique($codes), $codes);
    }

    /** @return list<string> */
    private function found(Command ...$commands): array
    {
        $pack = new Pack(World::pack()->channel, commands: array_values($commands));

        return array_map(
            static fn (Finding $finding): string => "{$finding->at} {$finding->kind->code()}",
            Checks::of($pack),
        );
    }
}
