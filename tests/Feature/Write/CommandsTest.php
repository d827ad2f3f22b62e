<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Accounts\FirstStep;
use App\Accounts\Role;
use App\Models\CommandRow;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\MemoryRows;
use App\Write\FindCommands;
use Illuminate\Database\Eloquent\Factories\Sequence;
use Illuminate\Support\Facades\DB;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;
use Tests\Demo;
use Tests\Feature\Air\OnAir;
use Tests\Feature\DatabaseWork;
use Tests\Feature\TestCase;

final class CommandsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_command_is_saved_as_it_was_typed_and_found_again(): void
    {
        $text = "  [caller] waves\n to <b>[target or \"the sea\"]</b> & \u{1F30A} ";
        $this->post(
            route('write.store', $this->cove),
            $this->fields([
                'aliases' => '!hi, !ho',
                'gates' => [
                    'enabled' => '1',
                    'stream' => 'live',
                    'levels' => ['who' => 'any_of', 'any_of' => ['vip', 'regular']],
                    'cooldown' => ['channel' => '10', 'person' => '60'],
                ],
                'responses' => [
                    ['text' => $text, 'weight' => '3'],
                    ['text' => '', 'weight' => '1'],
                    ['text' => 'splash', 'weight' => '1'],
                ],
                'group' => 'Sea',
                'listed' => null,
                'voice' => 'streamer',
                'place' => 'reply',
            ]),
        )
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        $core = CommandRepository::toCore($this->command('!wave'));
        self::assertSame(
            [$text, 3, 'splash'],
            [$core->responses[0]->text(), $core->responses[0]->weight, $core->responses[1]->text()],
        );
        self::assertSame(['!hi', '!ho'], $core->triggers->aliases);
        self::assertSame(
            'regulars and VIPs',
            (new \SilverParrot\Pack\LevelRule([
                \SilverParrot\Chat\Level::Regular,
                \SilverParrot\Chat\Level::Vip,
            ]))->inWords(),
        );
        self::assertSame(
            [false, true, 'streamer', 'reply', 'Sea'],
            [
                $core->about->listed,
                $core->isOn(),
                $core->delivery->voice->value,
                $core->delivery->place->value,
                $core->about->group,
            ],
        );
        $this->get(route('write', $this->cove).'?find=splash')
            ->assertSee('!wave')
            ->assertDontSee('!tide')
            ->assertSee('&lt;b&gt;', false);
        $this->get(route('write.command', [$this->cove, $this->command('!wave')]))
            ->assertOk()
            ->assertSee('VIPs and regulars, only while live, every 10 s', false)
            ->assertSee('value="live" selected', false);
    }

    public function test_what_a_page_asks_in_the_background_takes_no_notice_away(): void
    {
        $saved = $this->post(route('write.store', $this->cove), $this->fields())
            ->assertRedirect()
            ->headers->get('Location', '');
        $this->postJson(route('write.preview', $this->cove), $this->fields())->assertOk();
        $this->getJson(route('write.reference', $this->cove))->assertOk();
        $this->post(route('rehearse.try', $this->cove), ['do' => 'over'], ['HX-Request' => 'true'])->assertOk();
        $this->get((string) $saved)->assertSee('!wave is saved.')->assertSee('data-saved', false);
        $this->get((string) $saved)->assertDontSee('!wave is saved.');
    }

    public function test_what_cannot_be_saved_is_said_beside_the_field_and_nothing_typed_is_lost(): void
    {
        $answer = $this->post(
            route('write.store', $this->cove),
            $this->fields([
                'trigger' => '!two [words',
                'gates' => ['cooldown' => ['channel' => 'often', 'person' => '90000']],
                'responses' => [['text' => 'kept text', 'weight' => '5000']],
            ]),
        );
        $answer
            ->assertUnprocessable()
            ->assertSee('Enter a trigger, for example !tide.')
            ->assertSee('Expected a whole number')
            ->assertSee('90000 is not between 0 and 86400')
            ->assertSee('A weight is a whole number from 1 to 1,000.')
            ->assertSee('kept text')
            ->assertSee('value="often"', false)
            ->assertSee('value="90000"', false)
            ->assertSee('value="5000"', false)
            ->assertSee('!two [words');
        $this->post(route('write.store', $this->cove), $this->fields(['gates' => ['levels' => ['who' => 'any_of']]]))
            ->assertUnprocessable()
            ->assertSee('No level is chosen.');
        $this->post(route('write.store', $this->cove), $this->fields(['trigger' => '!TIDES']))
            ->assertUnprocessable()
            ->assertSee('is used by another command already');
        self::assertSame(Demo::commands(), $this->cove->commands()->count());
    }

    public function test_every_field_takes_hostile_text_and_shows_it_as_text(): void
    {
        foreach (\Tests\Outside::hostileStrings() as $index => $string) {
            if ($index % 12 !== 0 || trim($string) === '') {
                continue;
            }
            $answer = $this->post(
                route('write.store', $this->cove),
                $this->fields([
                    'trigger' => "!h$index",
                    'responses' => [['text' => $string, 'weight' => '1']],
                    'note' => $string,
                    'group' => mb_substr($string, 0, 40),
                ]),
            );
            self::assertContains($answer->getStatusCode(), [302, 422], $string);
            self::assertStringNotContainsString(
                '<script>alert',
                (string) $this->get(route('write', $this->cove))->assertOk()->getContent(),
            );
        }
    }

    public function test_the_second_of_two_who_save_is_shown_both_and_nothing_is_overwritten(): void
    {
        $row = $this->command('!tide');
        $seen = (string) $row->revision;
        $theirs = $this->fields([
            'trigger' => '!tide',
            'responses' => [['text' => 'theirs', 'weight' => '1']],
            'revision' => $seen,
        ]);
        $this->actingAs($this->member('Ilse', Role::Author))
            ->put(route('write.update', [$this->cove, $row]), $theirs)
            ->assertRedirect();
        $mine = $this->fields([
            'trigger' => '!tide',
            'responses' => [['text' => 'mine', 'weight' => '1']],
            'revision' => $seen,
        ]);
        $this->actingAs($this->wren)
            ->put(route('write.update', [$this->cove, $row]), $mine)
            ->assertStatus(409)
            ->assertSee('Somebody saved this command while you wrote.')
            ->assertSee('theirs')
            ->assertSee('mine');
        self::assertSame('theirs', CommandRepository::toCore($this->command('!tide'))->responses[0]->text());
        $this->put(
            route('write.update', [$this->cove, $row]),
            ['revision' => (string) ((int) $seen + 1)] + $mine,
        )->assertRedirect();
        self::assertSame('mine', CommandRepository::toCore($this->command('!tide'))->responses[0]->text());
    }

    public function test_saving_what_was_dropped_meanwhile_says_so(): void
    {
        $row = $this->command('!tide');
        $this->delete(route('write.drop', [$this->cove, $row]));
        $this->put(route('write.update', [$this->cove, $row->id]), $this->fields())->assertNotFound();
        self::assertNull(CommandRow::query()->find($row->id));
    }

    public function test_the_help_shows_examples_with_what_they_say_and_one_begins_with_them(): void
    {
        $this->actingAs($this->wren);
        $this->get(route('write.help', $this->cove))
            ->assertOk()
            ->assertSee('Ten examples')
            ->assertSee('Ahoy, Pia!')
            ->assertSee('Tamsin orders two biscuits.')
            ->assertSee('MIND THE PAINT')
            ->assertSee('?find=high%20water', false)
            ->assertSee('What you can use in a slot');
        $this->get(route('write.new', ['channel' => $this->cove, 'example' => 'typed']))->assertSee('[caller] orders');
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia)
            ->get(route('write.help', $far))
            ->assertOk()
            ->assertSee('[target or &quot;everybody&quot;]', false);
    }

    public function test_deleted_commands_wait_a_month_to_be_restored(): void
    {
        $this->actingAs($this->wren);
        $crew = $this->command('!crew');
        $this->get(route('write', $this->cove))->assertDontSee('Deleted commands');
        $this->delete(route('write.drop', [$this->cove, $crew]));
        $this->get(route('write', $this->cove))->assertSee('Deleted commands (1)');
        $this->get(route('write.deleted', $this->cove))->assertSee('!crew')->assertSee('deleted by Wren');
        $undo = route('write.undo', [$this->cove, $this->cove->changes()->where('kind', 'dropped')->firstOrFail()]);
        $dry = $this->command('!dry');
        $this->put(route('write.update', [$this->cove, $dry]), $this->fields([
            'trigger' => '!crew',
            'revision' => (string) $dry->revision,
        ]))->assertRedirect();
        $this->post($undo)->assertSessionHas('notice', fn (string $told): bool => str_contains($told, '!crew'));
        $this->get(route('write.deleted', $this->cove))->assertSee('restore', false);
        $this->put(route('write.update', [$this->cove, $dry]), $this->fields([
            'trigger' => '!dry',
            'revision' => (string) ($dry->revision + 1),
        ]))->assertRedirect();
        $this->post($undo)->assertSessionHas('notice', '!crew is restored.');
        $this->delete(route('write.drop', [$this->cove, $this->command('!crew')]));
        $this->travel(31)->days();
        $this->get(route('write.deleted', $this->cove))->assertSee('Nothing was deleted')->assertDontSee('deleted by');
        $this->actingAs($this->member('Rue', Role::Reader));
        $this->travel(-30)->days();
        $this->get(route('write.deleted', $this->cove))
            ->assertSee('deleted by Wren')
            ->assertDontSee('>restore<', false);
    }

    public function test_a_dropped_command_comes_back_with_all_it_had(): void
    {
        $row = $this->command('!crew');
        app(CommandRepository::class)->expect(
            $row,
            new Expectation('!crew', 'bram', ['x'], new Moment(1000), '1', 'e', ["counter\x1Fplanks\x1F" => 4]),
        );
        $before = CommandRepository::toCore($row->fresh(['responses', 'aliases', 'expectations']));
        $this->delete(route('write.drop', [$this->cove, $row]))->assertSessionHas('undo');
        self::assertSame(Demo::commands() - 1, $this->cove->commands()->count());
        $undo = (string) session('undo');
        $this->post($undo)->assertSessionHas('notice', '!crew is restored.');
        self::assertEquals($before, CommandRepository::toCore($this->command('!crew')));
        $this->post($undo)->assertSessionHas('notice', 'It is restored already.');
    }

    public function test_what_was_kept_as_right_is_asked_under_the_new_name(): void
    {
        $row = $this->command('!crew');
        foreach (['!crew of the tern', "\u{200B}!CREW", '!mates all'] as $line) {
            app(CommandRepository::class)->expect(
                $row,
                new Expectation($line, 'bram', ['x'], new Moment(1000), '1', 'e'),
            );
        }
        $lines = fn (): array => array_map(
            static fn (Expectation $kept): string => $kept->line,
            CommandRepository::toCore($row->fresh(['responses', 'aliases', 'expectations']))->about->expectations,
        );
        $save = fn (array $as) => $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields($as + ['revision' => (string) $row->fresh()?->revision]),
        )
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        $save(['trigger' => '!hands', 'aliases' => '!mates']);
        self::assertSame(['!hands of the tern', '!hands', '!mates all'], $lines());
        $save(['trigger' => '!deckhands', 'aliases' => '!hands']);
        self::assertSame(
            ['!hands of the tern', '!hands', '!deckhands all'],
            $lines(),
            'a name that is still its own stays',
        );
    }

    public function test_switching_and_duplicating(): void
    {
        $this->post(route('write.switch', [$this->cove, $this->command('!tide')]));
        self::assertFalse(CommandRepository::toCore($this->command('!tide'))->isOn());
        $this->get(route('write.copy', [$this->cove, $this->command('!tide')]))
            ->assertOk()
            ->assertSee('value="!tide2"', false);
        self::assertSame(Demo::commands(), $this->cove->commands()->count());
    }

    public function test_commands_are_found_by_any_of_their_words(): void
    {
        foreach (
            [
                'tides' => 1,
                'TWEEZERS' => 1,
                'moderators tweezers' => 1,
                'counter.planks' => 2,
                'stove [caller]' => 1,
                'games pebbles' => 2,
                '%' => 1,
                'switched off' => 1,
                'no such thing' => 0,
            ] as $text => $count
        ) {
            $answer = $this->get(route('write', $this->cove).'?find='.rawurlencode($text), [
                'HX-Request' => 'true',
            ])->assertOk();
            self::assertSame($count, substr_count((string) $answer->getContent(), '<li '), $text);
        }
    }

    public function test_every_change_is_written_down_with_who_and_what(): void
    {
        $row = $this->command('!tide');
        $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields(['trigger' => '!tide', 'revision' => (string) $row->revision]),
        );
        $change = $this->cove->changes()->where('command_id', $row->id)->orderByDesc('id')->firstOrFail();
        self::assertSame(['saved', $this->wren->id], [$change->kind, $change->getAttribute('user_id')]);
        self::assertSame('[caller] waves.', $change->after['responses'][0]['text'] ?? null);
        self::assertStringContainsString('fact.tide', json_encode($change->before, JSON_THROW_ON_ERROR));
    }

    public function test_the_assembled_pack_is_the_pack_that_was_stored(): void
    {
        [$pack] = \SilverParrot\Format\PackFormat::read(
            (string) file_get_contents(base_path('docs/examples/lantern-cove.pack.json')),
        );
        self::assertEquals($pack, app(Assembler::class)->document($this->cove));
    }

    public function test_pages_ask_the_database_as_often_for_many_commands_as_for_few(): void
    {
        $work = fn (string $method, string $url, array $fields): DatabaseWork => DatabaseWork::of(
            fn () => $this->call($method, $url, $fields)->assertOk(),
        );
        $pages = [
            ['GET', route('write', $this->cove), []],
            ['POST', route('write.preview', $this->cove), $this->fields()],
            [
                'POST',
                route('rehearse.try', $this->cove),
                $this->fields(['do' => 'say', 'speaker' => 'pia', 'line' => '!tide']),
            ],
        ];
        FirstStep::Try->take($this->wren);
        $few = array_map(static fn (array $page): DatabaseWork => $work(...$page), $pages);
        $more = static fn (Sequence $at): array => ['trigger' => "!more{$at->index}"];
        $this->insert(CommandRow::factory()->for($this->cove)->sequence($more), 2_000 - Demo::commands());
        DB::statement(
            'INSERT INTO command_responses (channel_id, command_id, stable_id, position, steps, weight) SELECT '
                ."channel_id, id, '0', 0, '[{\"say\":\"[caller] knows\"}]', 1 FROM commands WHERE `trigger` LIKE "
                ."'!more%'",
        );
        self::assertSame(2_000, $this->cove->commands()->count());
        // And many viewers, of whom no line asks.
        app(\App\Storage\MemoryRows::class)->fill(
            $this->cove,
            array_combine(
                array_map(
                    static fn (int $i): string => \SilverParrot\Memory\Key::field('pebbles', "viewer-$i")->id(),
                    range(1, 3_000),
                ),
                range(1, 3_000),
            ),
        );
        // The list shows so many commands at once, with one response each here; of all others it reads what they are
        // called.
        $shown = FindCommands::FIRST;
        $more = [[2_000 + 2 * $shown, 2 * $shown], [0, 0], [2_000, 0]];
        foreach ($pages as $number => $page) {
            $many = $work(...$page);
            self::assertLessThanOrEqual(count($few[$number]->statements), count($many->statements), $page[1]);
            self::assertLessThanOrEqual($few[$number]->rows + $more[$number][0], $many->rows, $page[1]);
            self::assertLessThanOrEqual($few[$number]->models + $more[$number][1], $many->models, $page[1]);
        }
    }

    public function test_a_page_that_goes_on_is_told_what_was_saved_and_sends_off_what_was_not(): void
    {
        $answer = $this->postJson(route('write.store', $this->cove), $this->fields())->assertOk();
        $row = $this->command('!wave');
        $answer->assertJson([
            'number' => $row->id,
            'revision' => 1,
            'responses' => [$row->responses[0]?->stable_id],
            'url' => route('write.command', [$this->cove, $row]),
            'notice' => '!wave is saved.',
        ]);
        $update = route('write.update', [$this->cove, $row]);
        $this->putJson($update, $this->fields(['revision' => '1', 'note' => 'x']))->assertJson(['revision' => 2]);
        $late = $this->putJson($update, $this->fields(['revision' => '1', 'note' => 'y']))->assertConflict();
        self::assertSame('', $late->getContent());
        $this->putJson($update, $this->fields(['revision' => '2', 'trigger' => '!tide']))->assertUnprocessable();
        self::assertSame('x', $row->refresh()->note);
    }

    public function test_what_lines_reach_of_a_pack_answers_them_as_the_whole_pack_does(): void
    {
        $whole = app(Assembler::class)->pack($this->cove);
        $lines = ['ahoy', '!tidee', 'tide', "!PLANK\u{200B} 2", '', '!', '[caller]'];
        foreach ($whole->commands as $command) {
            array_push(
                $lines,
                ...array_map(static fn (string $one): string => "$one @odo 3", $command->triggers->all()),
            );
        }
        foreach ($lines as $number => $line) {
            $reached = app(Assembler::class)->reachedBy($this->cove, [$line]);
            $said = fn (Pack $pack): Outcome => (new Rehearsal(
                $pack,
                app(MemoryRows::class)->copy($this->cove),
                'cove',
                $this->cove->profile(),
            ))->line("$number", $pack->cast[0]->person(), $line, Moment::of(now()));
            [$of, $all] = [$said($reached), $said($whole)];
            self::assertSame($all->texts(), $of->texts(), $line);
            self::assertEquals($all->changes, $of->changes, $line);
            self::assertEquals($all->trace?->entries(), $of->trace?->entries(), $line);
        }
        self::assertGreaterThan(25, count($lines));
    }

    public function test_how_often_it_answers_at_most_is_part_of_the_draft(): void
    {
        $this->put(route('write.flood', $this->cove), ['person' => '3', 'channel' => '0'])->assertRedirect(
            route('write', $this->cove),
        );
        self::assertEquals(
            new \SilverParrot\Pack\Flood(3, 0),
            app(\App\Storage\Assembler::class)->pack($this->cove->refresh())->flood,
        );
        foreach ([['x', '1'], ['1', '-1'], ['1001', '1'], ['1', '']] as [$person, $channel]) {
            $this->from(route('write', $this->cove))
                ->followingRedirects()
                ->put(route('write.flood', $this->cove), ['person' => $person, 'channel' => $channel])
                ->assertSee('This is no number of answers')
                ->assertSee('aria-invalid="true"', false)
                ->assertSee('value="'.$person.'"', false);
        }
        self::assertSame([3, 0], [$this->cove->refresh()->flood_person, $this->cove->flood_channel]);
        $this->flushSession()->get(route('write', $this->cove))->assertSee('answers one person at most');
    }

    public function test_the_reference_tells_what_everything_would_be_now(): void
    {
        $entries = $this->getJson(route('write.reference', $this->cove))->assertOk()->json();
        self::assertIsArray($entries);
        $by = array_column($entries, null, 'insert');
        self::assertSame(['41', 'a whole number'], [$by['counter.planks']['now'], $by['counter.planks']['gives']]);
        self::assertSame('Planking', $by['channel.category']['now']);
        self::assertSame(
            ['a moment', 'When they first wrote here.'],
            [$by['caller.first_seen']['gives'], $by['caller.first_seen']['sentence']],
        );
        self::assertNull($by['upper']['now']);
        self::assertSame(41, $this->remembered(\SilverParrot\Memory\Key::counter('planks')), 'asking changes nothing');
        foreach ($entries as $entry) {
            self::assertNotSame('', $entry['sentence']);
        }
        self::assertArrayNotHasKey('counter', $by, 'what needs a part is told with it only');
        $far = $this->harbour($pia = $this->person('Pia'));
        self::assertArrayNotHasKey(
            'counter.planks',
            array_column(
                (array) $this->actingAs($pia)->getJson(route('write.reference', $far))->json(),
                null,
                'insert',
            ),
        );
    }

    public function test_a_new_command_begins_with_a_sample_or_with_nothing(): void
    {
        $this->get(route('write.new', $this->cove))->assertSee('Begin with')->assertSee('a shout-out');
        $this->get(route('write.new', ['channel' => $this->cove, 'sample' => 'count']))
            ->assertSee('[add 1 to counter.planks')
            ->assertSee('value="!count"', false);
        $this->get(route('write.new', ['channel' => $this->cove, 'sample' => 'nonsense']))
            ->assertOk()
            ->assertSee('value="!"', false);
    }

    public function test_phrases_are_typed_kept_found_and_set_the_command_off(): void
    {
        $phrases = [
            ['text' => 'when .. (glue/paint) .. dry'],
            ['text' => 'the caulking iron', 'tolerant' => '1', 'must_not' => ['an iron']],
        ];
        $typed = $this->fields(['trigger' => '!glue', 'phrases' => $phrases]);
        $this->post(route('write.store', $this->cove), ['responses' => [
            ['text' => 'Tomorrow, [caller].', 'weight' => '1'],
        ]] + $typed)->assertSessionHasNoErrors();
        $row = $this->command('!glue');
        self::assertSame(
            [
                'when .. (glue/paint) .. dry',
                ['text' => 'the caulking iron', 'tolerant' => true, 'must_not' => ['an iron']],
            ],
            $row->phrases,
        );
        $this->get(route('write.command', [$this->cove, $row]))
            ->assertSee('value="when .. (glue/paint) .. dry"', false)
            ->assertSee('an iron')
            ->assertSee('also by 2 phrases');
        $this->get(route('write', [$this->cove, 'find' => 'caulking']))->assertSee('!glue');
        foreach (['When is the paint ever dry?', 'where is the cualking iron'] as $line) {
            $this->post(route('rehearse.try', $this->cove), [
                'do' => 'say',
                'speaker' => 'pia',
                'line' => $line,
                'chat' => '',
            ])->assertSee('Tomorrow, Pia.')->assertSee('was set off by the phrase');
        }
        $on = OnAir::of($this->cove);
        $on->air->pack = app(Assembler::class)->pack($this->cove);
        $on->hear('odo', 'when is the glue dry?');
        self::assertSame('Tomorrow, Odo.', DB::table('outgoing')->value('text'));
        $found = $this->post(route('write.preview', $this->cove), $this->fields(['phrases' => [['text' => '(broken']]]))
            ->json('findings');
        self::assertIsArray($found);
        self::assertStringContainsString('cannot be read', json_encode($found, JSON_THROW_ON_ERROR));
        // In the sample chat, and in what was heard: by whom, and not of those who talk by themselves.
        $on->hear('harbour_bell', 'the paint rings');
        $tried = fn (string $text): string => (string) $this->post(
            route('write.phrases', $this->cove),
            $this->fields(['trigger' => '!glue', 'phrases' => [['text' => $text], ['text' => '(broken']]]),
        )->json('html');
        self::assertStringContainsString('the sample chat, 5 of 118 lines', $tried('glue'));
        self::assertStringContainsString('the last 4 weeks, one of 2 lines', $tried('glue'));
        self::assertStringContainsString('“glue” is common', $tried('glue'));
        self::assertStringContainsString('<span>Odo</span>', $tried('glue'));
        self::assertStringContainsString('none of 2 lines', $tried('no such thing'));
        $this->actingAs($this->member('reader', \App\Accounts\Role::Reader));
        $this->post(route('write.phrases', $this->cove), $this->fields())->assertOk();
    }
}
