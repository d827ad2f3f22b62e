<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Steps\Say;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** What else must hold before a command answers, as it is typed, kept, told, tried and heard. */
final class ConditionsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string}> typed, kept, told */
    public static function forms(): iterable
    {
        yield 'levels and persons' => [
            ['levels' => ['who' => 'moderator', 'persons' => '@ilse, Odo']],
            ['levels' => ['at_least' => 'moderator', 'persons' => ['ilse', 'Odo']]],
            'Moderators and up, and ilse, Odo',
        ];
        yield 'persons alone' => [
            ['levels' => ['who' => 'persons', 'persons' => 'ilse']],
            ['levels' => ['persons' => ['ilse']]],
            'Ilse and the streamer',
        ];
        yield 'everyone, whoever was named before' => [
            ['levels' => ['who' => 'everyone', 'persons' => 'ilse']],
            [],
            'Anyone',
        ];
        yield 'cooldown by level' => [
            ['cooldown' => [
                'channel' => '5',
                'person' => '60',
                'levels' => ['vip' => '10', 'subscriber' => ''],
                'passes' => 'moderator',
            ]],
            ['cooldown' => ['channel' => 5, 'person' => 60, 'levels' => ['vip' => 10], 'passes' => 'moderator']],
            'VIPs once every 10 s, no cooldown for moderators and up',
        ];
        yield 'number' => [
            ['number' => ['of' => 'account_days', 'least' => '30']],
            ['number' => ['of' => 'account_days', 'least' => 30]],
            'for accounts 30 days old',
        ];
        yield 'held' => [
            ['held' => [
                ['kind' => 'field', 'name' => 'pebbles', 'amount' => '100'],
                ['kind' => 'rank', 'name' => 'Bosun', 'amount' => ''],
                ['kind' => 'goods', 'name' => '', 'amount' => ''],
            ]],
            ['held' => [['field' => 'pebbles', 'least' => 100], ['rank' => 'Bosun']]],
            'for those with 100 or more pebbles, for the rank Bosun and up',
        ];
        yield 'category' => [
            ['category' => ['how' => 'except', 'names' => 'Sea trials, Planking']],
            ['category' => ['except' => ['Sea trials', 'Planking']]],
            'not in Sea trials, Planking',
        ];
        yield 'hours' => [
            ['hours' => ['from' => '19:00', 'to' => '01:30', 'days' => ['fri', 'sat']]],
            ['hours' => ['from' => '19:00', 'to' => '01:30', 'days' => ['fri', 'sat']]],
            'from 19:00 to 01:30, on Fridays, Saturdays',
        ];
        yield 'dates' => [
            ['dates' => ['from' => '', 'until' => '2026-12-24T06:00']],
            ['dates' => ['until' => '2026-12-24T06:00']],
            'until 2026-12-24 06:00',
        ];
        yield 'needs' => [['needs' => 'here'], ['needs' => 'here'], 'needs the name of somebody here'];
        yield 'at most' => [
            ['at_most' => ['stream' => '20', 'person_stream' => '', 'person_day' => '1']],
            ['at_most' => ['stream' => 20, 'person_day' => 1]],
            'at most 20 times a stream, each person once a day',
        ];
        yield 'cost' => [
            ['cost' => ['points' => '50', 'unit' => '', 'levels' => ['vip' => '0']]],
            ['cost' => ['points' => 50, 'levels' => ['vip' => 0]]],
            'costs 50 points, free for VIPs',
        ];
        yield 'chance' => [['chance' => '30'], ['chance' => 30], '30 times in 100'];
        yield 'snoozed' => [
            ['snoozed' => '2026-11-29T20:00:00Z'],
            ['snoozed' => '2026-11-29T20:00:00Z'],
            'Snoozed until the next stream',
        ];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @param  array<string, mixed>  $kept
     */
    #[DataProvider('forms')]
    public function test_a_condition_is_kept_as_it_was_typed_and_joins_the_sentence(
        array $typed,
        array $kept,
        string $told,
    ): void {
        $gates = $typed + ['enabled' => '1', 'cooldown' => ['channel' => '10', 'person' => '60']];
        $this->post(route('write.store', $this->cove), $this->fields(['trigger' => '!new', 'gates' => $gates]))
            ->assertSessionHasNoErrors();
        $row = $this->command('!new');
        $written = GateSettings::write($row->gates);
        self::assertSame($kept, array_diff_key($written, isset($kept['cooldown']) ? [] : ['cooldown' => true]));
        $this->get(route('write.command', [$this->cove, $row]))->assertOk()->assertSee($told);
        $this->get(route('write', [$this->cove, 'find' => '!new '.explode(',', $told)[0]]))->assertSee('!new');
    }

    public function test_what_cannot_be_is_told_beside_its_field_and_nothing_typed_is_lost(): void
    {
        foreach (
            [
                ['hours', ['from' => '25:00', 'to' => '26:00'], 'is no time of day', '25:00'],
                ['hours', [], 'Nothing is set here', 'data-condition="hours" aria-label="Only when it is the right'],
                ['dates', ['from' => '2026-13-40', 'until' => ''], 'is no date', '2026-13-40'],
                ['cost', ['points' => 'many'], 'Expected a whole number', 'value="many"'],
                ['chance', '400', '400 is not between 1 and 100', 'value="400"'],
                ['at_most', ['stream' => '-3'], 'Expected a whole number', 'value="-3"'],
                ['category', ['how' => 'only', 'names' => ' , '], 'Nothing is set here', 'Only when'],
                ['number', ['of' => 'followed_days', 'least' => '0'], '0 is not between 1', 'value="0"'],
                ['levels', ['who' => 'persons', 'persons' => ''], 'Nothing is set here', 'only some people'],
            ] as [$key, $typed, $problem, $lost]
        ) {
            $this->followingRedirects()
                ->post(route('write.store', $this->cove), $this->fields([
                    'trigger' => '!broken',
                    'gates' => [$key => $typed] + ['enabled' => '1', 'cooldown' => ['channel' => '1', 'person' => '1']],
                ]))
                ->assertSee($problem)
                ->assertSee($lost, false);
        }
        self::assertNull($this->cove->commands()->where('trigger', '!broken')->first());
    }

    public function test_what_is_held_follows_a_new_name_and_counts_as_a_use(): void
    {
        $row = $this->command('!kindle');
        $this->get(route('write.findings', $this->cove))->assertOk();
        $this->get(route('remember.goods', $this->cove))->assertSee('!kindle');
        $rename = route('remember.named.update', [$this->cove, 'goods', 'lantern']);
        $typed = ['name' => 'lamp', 'price' => '40', 'stock' => '12', 'buy_back' => '20'];
        $this->put($rename, $typed)->assertSee('!kindle')->assertSee('owners of');
        $this->put($rename, $typed + ['confirmed' => '1'])->assertRedirect();
        self::assertSame([['goods' => 'lamp']], GateSettings::write($row->refresh()->gates)['held'] ?? null);
    }

    public function test_replies_for_closed_gates_are_written_once_replaced_and_silenced(): void
    {
        $say = fn (string $line, string $who = 'pia') => $this->post(route('rehearse.try', $this->cove), [
            'do' => 'say',
            'speaker' => $who,
            'line' => $line,
            'chat' => '',
        ]);
        $say('!kindle')->assertSee('That takes lantern, Pia.');
        $save = fn (array $replies) => $this->put(route('write.refusals', $this->cove), [
            'refusals' => $replies,
            'seen' => (string) \App\Storage\Definitions\DefinitionHistory::revision(
                $this->cove,
                \App\Storage\Definitions\DefinitionHistory::kind('refusals'),
            ),
        ]);
        $save(['held' => 'Not for [nobody.here]'])->assertSessionHasErrors('refusals.held');
        $save(['held' => '[add 1 to counter.planks]'])->assertSessionHasErrors('refusals.held');
        $save(['held' => 'No: [outcome.reason].', 'level' => ' '])->assertSessionHasNoErrors();
        self::assertSame(['held' => 'No: [outcome.reason].'], $this->cove->refresh()->refusals);
        $say('!kindle')->assertSee('No: it is for owners of lantern.');
        // A command says something else, or nothing.
        $row = $this->command('!kindle');
        $fields = fn (array $more) => $this->fields($more + [
            'trigger' => '!kindle',
            'responses' => [['text' => 'lit', 'weight' => '1']],
            'revision' => (string) $row->refresh()->revision,
            'gates' => ['enabled' => '1', 'cooldown' => ['channel' => '0', 'person' => '0'], 'held' => [
                ['kind' => 'goods', 'name' => 'lantern', 'amount' => ''],
            ]],
        ]);
        $this->put(route('write.update', [$this->cove, $row]), $fields(['refusals' => ['held' => 'Dark, [caller].']]));
        $say('!kindle')->assertSee('Dark, Pia.');
        $this->put(route('write.update', [$this->cove, $row]), $fields(['silent' => ['held']]));
        self::assertSame(['held' => ''], $row->refresh()->refusals);
        $say('!kindle')->assertDontSee('No: it')->assertDontSee('Dark');
    }

    public function test_so_many_times_and_points_are_kept_exactly_on_the_air(): void
    {
        $this->post(route('write.store', $this->cove), $this->fields([
            'trigger' => '!bench',
            'responses' => [['text' => 'room for [caller], [caller.pebbles] left', 'weight' => '1']],
            'gates' => [
                'enabled' => '1',
                'cooldown' => ['channel' => '0', 'person' => '0'],
                'at_most' => ['person_stream' => '2'],
                'cost' => ['points' => '3'],
            ],
        ]))->assertSessionHasNoErrors();
        $on = OnAir::of($this->cove);
        $on->air->pack = app(Assembler::class)->pack($this->cove);
        for ($try = 0; $try < 4; $try++) {
            $on->hear('odo', '!bench');
        }
        self::assertSame(2, DB::table('outgoing')->where('text', 'like', 'room for Odo%')->count());
        $viewer = DB::table('viewers')->where('login', 'odo')->value('id');
        self::assertSame(
            [2, [7, 4]],
            [
                (int) DB::table('command_successes')->where('viewer_id', $viewer)->value('times'),
                DB::table('ledger')->where('viewer_id', $viewer)->orderBy('id')->pluck('amount')->all(),
            ],
            'of ten pebbles',
        );
    }

    public function test_one_reply_is_for_some_only_and_replies_come_in_an_order(): void
    {
        $others = '{"levels":{"any_of":["vip"]},"text":"not mine"}';
        $this->post(route('write.store', $this->cove), $this->fields([
            'trigger' => 'splice',
            'responses' => [
                ['text' => 'for all', 'weight' => '1'],
                ['text' => 'for some', 'weight' => '1', 'level' => 'moderator', 'category' => 'Rigging, Planking'],
                ['text' => 'kept', 'weight' => '2', 'off' => '1', 'conditions' => $others],
            ],
            'order' => 'shuffled',
        ]))->assertSessionHasNoErrors();
        $row = $this->command('!splice');
        $written = CommandFormat::write(CommandRepository::toCore($row));
        self::assertSame('shuffled', $written['order'] ?? null);
        self::assertSame(
            [
                ['text' => 'for all'],
                [
                    'text' => 'for some',
                    'levels' => ['at_least' => 'moderator'],
                    'category' => ['only' => ['Rigging', 'Planking']],
                ],
                ['text' => 'kept', 'weight' => 2, 'enabled' => false, 'levels' => ['any_of' => ['vip']]],
            ],
            $written['responses'],
        );
        $this->get(route('write.command', [$this->cove, $row]))
            ->assertSee('value="Rigging, Planking"', false)
            ->assertSee('replies shuffled')
            ->assertSee('reply 2 moderators and up')
            ->assertSee('reply 3 left out');
    }

    public function test_triggers_have_several_words_a_mark_by_themselves_or_are_names_only(): void
    {
        $this->post(route('write.store', $this->cove), $this->fields([
            'trigger' => ' flood   tide ',
            'aliases' => '!ebb tide !ebb,  slack  water',
        ]))->assertSessionHasNoErrors();
        $row = $this->command('!flood tide');
        self::assertSame(['!ebb tide', '!ebb', 'slack water'], $row->aliases->pluck('alias')->all());
        $this->post(route('rehearse.try', $this->cove), [
            'do' => 'say',
            'speaker' => 'pia',
            'line' => "\u{FF01}Ebb Tide now",
            'chat' => '',
        ])->assertSee('!flood tide was triggered by');
        $this->post(route('write.store', $this->cove), $this->fields([
            'trigger' => 'heave',
            'name_only' => '1',
            'phrases' => [['text' => 'heave .. ho']],
        ]))->assertSessionHasNoErrors();
        self::assertTrue($this->command('heave')->name_only);
        $this->post(route('write.preview', $this->cove), $this->fields(['trigger' => '!hawser', 'command' => '0']))
            ->assertJsonPath('offers', ['!hawsers', '!haw', '!hawsre', '!hawserr']);
        $offered = $this->post(route('write.preview', $this->cove), $this->fields(['trigger' => '!tids']))
            ->json('offers');
        self::assertNotContains('!tide', is_array($offered) ? $offered : []);
    }

    public function test_a_reply_runs_another_command_also_while_it_is_tried_and_keeps_it_under_a_new_trigger(): void
    {
        $typed = [
            'trigger' => '!both',
            'responses' => [['text' => 'first', 'weight' => '1', 'run' => '!TIDE', 'words' => '[caller]']],
        ];
        $plain = Say::on('!tide', 'High water at Lantern Cove.');
        $tide = $this->command('!tide');
        app(CommandRepository::class)->save($this->cove, $tide, $plain, $this->wren, $tide->revision);
        $this->post(route('rehearse.try', $this->cove), $this->fields($typed + [
            'do' => 'say',
            'speaker' => 'pia',
            'line' => '!both',
            'chat' => '',
        ]))->assertSee('High water at Lantern Cove')->assertSee('!tide was run by it');
        $this->post(route('write.store', $this->cove), $this->fields($typed))->assertSessionHasNoErrors();
        $tide = $this->command('!tide');
        $row = $this->command('!both');
        self::assertSame(
            [['steps' => [['say' => 'first'], ['run' => $tide->stable_id, 'words' => '[caller]']]]],
            CommandFormat::write(CommandRepository::toCore($row))['responses'],
        );
        $tide->update(['trigger' => '!flow', 'trigger_folded' => '!flow']);
        $this->get(route('write.command', [$this->cove, $row]))->assertSee('value="!flow"', false);
        $on = OnAir::of($this->cove);
        $on->air->pack = app(Assembler::class)->pack($this->cove);
        $on->hear('odo', '!both');
        self::assertSame(2, DB::table('outgoing')->count());
        // A circle is refused before it is on the air.
        $this->put(route('write.update', [$this->cove, $row]), $this->fields([
            'revision' => (string) $row->refresh()->revision,
            'responses' => [['text' => '', 'weight' => '1', 'run' => '!both']],
        ] + $typed));
        $this->get(route('write.findings', $this->cove))->assertSee('!both runs !both, and that leads back to it.');
    }

    public function test_a_reply_does_something_first_as_it_was_typed_and_does_it_on_the_air(): void
    {
        $typed = [
            'trigger' => '!note',
            'if_it_fails' => 'No: [outcome.reason]',
            'responses' => [[
                'text' => 'Kept as [outcome.name].',
                'weight' => '1',
                'do' => 'keep quote',
                'with' => ['keep quote/text' => '[words]', 'keep quote/by' => ' ', 'buy/goods' => 'lantern'],
            ]],
        ];
        $steps = [['do' => 'keep quote', 'with' => ['text' => '[words]']], ['say' => 'Kept as [outcome.name].']];
        $this->post(route('write.store', $this->cove), $this->fields($typed))->assertSessionHasNoErrors();
        $row = $this->command('!note');
        self::assertSame([['steps' => $steps]], CommandFormat::write(CommandRepository::toCore($row))['responses']);
        $this->get(route('write.command', [$this->cove, $row]))
            ->assertSee('<option value="keep quote" selected>', false)
            ->assertSee('name="responses[0][with][keep quote/text]" value="[words]"', false)
            ->assertSee('keeps quotes');
        $on = OnAir::of($this->cove);
        $on->air->pack = app(Assembler::class)->pack($this->cove);
        $on->hear('odo', '!note It floats!');
        self::assertSame(
            ['It floats!', 'Odo'],
            array_values((array) DB::table('quotes')->orderByDesc('number')->first(['text', 'kept_by'])),
        );
        $this->post(route('write.preview', $this->cove), $this->fields(['responses' => [[
            'text' => '[outcome.left]',
            'do' => 'keep quote',
            'with' => ['keep quote/text' => '[wrods]'],
        ]]] + $typed))
            ->assertJsonPath('findings.responses/0/steps/0/with/text.0.code', 'unknown-name')
            ->assertJsonPath('findings.responses/0/steps/1/say.0.code', 'outcome-out-of-place');
        $this->post(route('write.store', $this->cove), $this->fields(['responses' => [[
            'text' => 'x',
            'do' => 'sink ship',
        ]]] + $typed))->assertSee('sink ship');
    }

    public function test_what_people_mistype_is_gathered_and_made_an_alias_by_one_press(): void
    {
        $on = OnAir::of($this->cove);
        $on->air->pack = app(Assembler::class)->pack($this->cove);
        foreach (['!tidee', '!TIDEE now', '!tide', '!splintre', 'tidee', '!xylophone', '@odo hi'] as $line) {
            $on->hear('odo', $line);
        }
        $page = route('write.mistyped', $this->cove);
        $this->get($page)
            ->assertSeeInOrder(['!tidee', '2 times', 'make it an alias of !tide', '!splintre', 'once', 'of !splinter'])
            ->assertDontSee('xylophone');
        $make = fn (string $alias, string $of) => $this->post(route('write.alias', $this->cove), [
            'alias' => $alias,
            'of' => $of,
        ]);
        $make('!tidee', '!tide')->assertSessionHas('notice', '!tide answers to !tidee too.');
        self::assertContains('!tidee', $this->command('!tide')->aliases->pluck('alias')->all());
        $this->get($page)->assertDontSee('!tidee')->assertSee('!splintre');
        $make('!tidee', '!splinter')->assertSessionHas('notice', '!tidee is used by another command already.');
        $make('[caller]', '!tide')->assertSessionHas('notice', 'That cannot be an alias.');
        $make('!fine', '!nobody')->assertSessionHas('notice', 'That cannot be an alias.');
    }

    public function test_a_phrase_that_another_command_answers_is_told_while_it_is_typed(): void
    {
        $told = fn (string $phrase, int $command): string => json_encode(
            $this->post(route('write.preview', $this->cove), $this->fields([
                'trigger' => '!shed',
                'command' => (string) $command,
                'phrases' => [['text' => $phrase]],
            ]))->json('findings'),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
        self::assertStringContainsString(
            '“where shed” sets off “where .. shed” here and “where .. (shed/workshop)” of !where, and !where answers.',
            $told('where .. shed', 0),
        );
        self::assertStringNotContainsString('and !where answers', $told('the shed', 0));
        // What it was before is none of the others.
        $where = $this->command('!where')->id;
        self::assertStringNotContainsString('answers.', $told('where .. shed', $where));
    }
}
