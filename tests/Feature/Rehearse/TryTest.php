<?php

declare(strict_types=1);

namespace Tests\Feature\Rehearse;

use App\Models\FactRow;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use SilverParrot\Format\PackFormat;
use Tests\Feature\TestCase;

final class TryTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_preview_chat_and_command_line_answer_alike_and_all_follow_a_fact(): void
    {
        $draft = $this->fields([
            'trigger' => '!place',
            'responses' => [['text' => '[caller] is at [fact.workshop].', 'weight' => '1']],
        ]);
        foreach (['the shed by the slipway', 'the old boathouse'] as $place) {
            FactRow::query()
                ->where('channel_id', $this->cove->id)
                ->where('name', 'workshop')
                ->update(['text' => $place]);
            $says = "Tamsin is at $place.";
            $preview = $this->post(route('write.preview', $this->cove), $draft + ['person' => 'tamsin'])->json();
            self::assertIsArray($preview);
            self::assertStringContainsString($says, (string) $preview['html']);
            $this->say('tamsin', '!place', $draft)->assertSee($says);
            $file = (string) tempnam(sys_get_temp_dir(), 'pack');
            file_put_contents($file, PackFormat::write(app(Assembler::class)->document($this->cove)));
            self::assertSame(
                0,
                Artisan::call('parrot:say', [
                    '--pack' => $file,
                    '--response' => '[caller] is at [fact.workshop].',
                    '--caller' => 'tamsin',
                ]),
            );
            self::assertSame("$says\n", Artisan::output());
            unlink($file);
        }
    }

    public function test_the_chat_works_on_a_copy_and_real_counters_stay(): void
    {
        $before = $this->wholeMemory();
        $chat = $this->say('bram', '!splinter')
            ->assertSee('Splinters while Planking: 10 (12 in all)')
            ->assertSee('counter.splinters');
        $this->turn($chat, 10);
        $this->say('bram', '!splinter', [], $this->turn($chat, 10))->assertSee(
            'Splinters while Planking: 11 (13 in all)',
        );
        self::assertSame($before, $this->wholeMemory());
    }

    public function test_a_cooldown_is_told_in_the_why_and_opens_when_the_clock_is_turned(): void
    {
        $chat = $this->say('tamsin', '!knot');
        $again = $this->say('tamsin', '!knot', [], $chat)
            ->assertSee('no reply: on cooldown: 9 s left')
            ->assertSee('to get through, move the clock forward 9 s');
        $turned = $this->turn($again, 10);
        $this->say('pia', '!knot', [], $turned)->assertSee('Pia, tie us a');
        $this->say('tamsin', '!tidee')->assertSee('there is no command !tidee: did you mean !tide?');
    }

    public function test_timers_speak_when_the_clock_is_turned_so_far_and_tell_when_they_are_due(): void
    {
        $this->cove->forceFill(['details' => ['live' => true] + ($this->cove->details ?? [])])->save();
        $large = ['large' => '1'];
        $chat = $this->say('odo', 'evening all', $large);
        for ($line = 2; $line <= 8; $line++) {
            $chat = $this->say('odo', "plank number $line", $large, $chat);
        }
        $chat->assertSeeInOrder(['links', 'if 2 more lines come.'])->assertDontSee('Charts of the cove');
        $chat = $this->say('pia', 'nine', $large, $this->say('odo', 'ten', $large, $chat));
        $later = $this->turn($chat, 3_600)->assertSee('the timer links')->assertSee('Charts of the cove');
        // However far it is turned, somebody still sees an answer.
        $this->turn($later, 300 * 86_400)->assertOk();
    }

    public function test_the_same_seed_says_the_same_words_and_starting_over_empties_the_chat(): void
    {
        $said = function (string $seed): string {
            preg_match('/\d+% luck/', (string) $this->say('pia', '!luck', ['seed' => $seed])->getContent(), $found);

            return $found[0] ?? '';
        };
        self::assertSame($said('marigold'), $said('marigold'));
        self::assertGreaterThan(1, count(array_unique(array_map($said, ['a', 'b', 'c', 'd', 'e']))));
        $over = $this->post(route('rehearse.try', $this->cove), [
            'do' => 'over',
            'chat' => $this->state($this->say('pia', '!luck')),
        ]);
        $over->assertSee('Say something as anybody in the cast');
    }

    public function test_nonsense_in_the_pages_own_state_does_no_harm(): void
    {
        foreach (
            [
                '',
                '[]',
                '{"lines":[[1],["a","b","c"],[9999999999999,"pia","!tide"],null],"clock":-5,"start":"soon"}',
                str_repeat('[', 5000),
                '{"lines":'.json_encode(array_fill(0, 500, [0, 'pia', 'x'])).',"clock":1}',
            ] as $chat
        ) {
            $this->post(route('rehearse.try', $this->cove), [
                'chat' => $chat,
                'do' => 'say',
                'speaker' => '<nobody>',
                'line' => '!tide',
            ])
                ->assertOk()
                ->assertDontSee('<nobody>', false);
        }
    }

    public function test_a_full_chat_keeps_what_it_has_and_says_so(): void
    {
        $lines = array_map(
            static fn (int $i): array => [$i * 1000, 'pia', $i === 0 ? '!biscuit @odo' : 'x'],
            range(0, 99),
        );
        $chat = json_encode(['start' => '2026-11-25T20:00:00Z', 'clock' => 99_000, 'lines' => $lines]);
        $full = $this->post(route('rehearse.try', $this->cove), [
            'chat' => $chat,
            'do' => 'say',
            'speaker' => 'pia',
            'line' => 'one more',
        ])->assertOk();
        $full->assertSee('The chat is full')->assertSee('Pia hands Odo a biscuit')->assertDontSee('one more');
    }

    public function test_answers_of_one_command_that_are_right_are_not_without_end(): void
    {
        $chat = $this->state($this->say('pia', '!now'));
        $row = $this->command('!now');
        for ($i = 0; $i < 200; $i++) {
            app(\App\Storage\CommandRepository::class)->expect(
                $row,
                new \SilverParrot\Pack\Expectation('!now', 'pia', ['x'], new \SilverParrot\Value\Moment(0), '1', 'e'),
            );
        }
        $this->post(route('rehearse.expect', $this->cove), ['chat' => $chat, 'index' => '0'])->assertSee(
            'has as many expected replies as there may be',
        );
    }

    public function test_what_is_kept_as_expected_is_checked_on_every_save_in_its_own_circumstances(): void
    {
        $chat = $this->say('bram', '!splinter');
        $row = $this->command('!splinter');
        $this->post(route('rehearse.expect', $this->cove), ['chat' => $this->state($chat), 'index' => '0'])
            ->assertOk()
            ->assertSee('expected of !splinter');
        $this->post(route('rehearse.expect', $this->cove), ['chat' => $this->state($chat), 'index' => '0'])->assertOk();
        self::assertSame(1, $row->expectations()->count(), 'the same answer is expected once');
        // The counter goes on in real life: what was right then is still right in the circumstances of then.
        DB::table('counter_numbers')->where('channel_id', $this->cove->id)->update(['number' => 500]);
        $this->get(route('write.command', [$this->cove, $row]))->assertSee('It still matches.');
        $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields([
                'trigger' => '!splinter',
                'gates' => [
                    'enabled' => '1',
                    'levels' => ['who' => 'moderator'],
                    'cooldown' => ['channel' => '10', 'person' => '60'],
                ],
                'responses' => [['text' => 'Ouch: [add 1 to counter.splinters]', 'weight' => '1']],
                'revision' => (string) $row->revision,
            ]),
        )->assertRedirect();
        $this->get(route('write.command', [$this->cove, $row]))
            ->assertSee('It no longer matches.')
            ->assertSee('Splinters while Planking: 10 (12 in all)')
            ->assertSee('Ouch: 10');
        $this->delete(route('rehearse.unexpect', [$this->cove, $row, $row->expectations()->firstOrFail()]))->assertOk();
        self::assertSame(0, $row->expectations()->count());
    }

    public function test_an_answer_of_another_command_is_kept_with_that_one(): void
    {
        $draft = $this->fields(['trigger' => '!tide', 'command' => (string) $this->command('!tide')->id]);
        $chat = $this->say('pia', '!now', $draft);
        $this->post(
            route('rehearse.expect', $this->cove),
            $draft + ['chat' => $this->state($chat), 'index' => '0'],
        )->assertSee('expected of !now');
        self::assertSame(1, $this->command('!now')->expectations()->count());
        $this->post(route('rehearse.expect', $this->cove), [
            'chat' => $this->state($chat),
            'index' => '7',
        ])->assertUnprocessable();
    }

    public function test_expected_replies_and_tried_lines_follow_what_is_being_written(): void
    {
        $row = $this->command('!now');
        $draft = $this->fields(['trigger' => '!now', 'command' => (string) $row->id, 'responses' => [
            ['text' => CommandRepository::toCore($row)->responses[0]->text(), 'weight' => '1'],
        ]]);
        $chat = $this->say('pia', '!now', $draft)->assertSee('Keep as expected');
        $fields = ['chat' => $this->state($chat), 'index' => '0'];
        $this->post(route('rehearse.expect', $this->cove), $draft + $fields)->assertSee('It still matches.');
        $hear = fn (array $changed): TestResponse => $this->post(
            route('rehearse.try', $this->cove),
            $changed + $draft + ['chat' => $this->state($chat), 'do' => 'hear'],
        )->assertOk();
        $hear([])->assertSee('It still matches.')->assertSee('✓ expected')->assertDontSee('Keep as expected');
        $hear(['responses' => [['text' => 'Later.', 'weight' => '1']]])
            ->assertSee('It no longer matches.')
            ->assertSee('Later.')
            ->assertSee('Keep as expected');
        $hear(['trigger' => '!today'])->assertSee('It still matches.');
    }

    public function test_silence_and_refusals_can_be_expected(): void
    {
        $chat = $this->say('tamsin', '!knot', [], $this->say('tamsin', '!knot'));
        foreach (['1' => '!knot', '0' => '!knot'] as $index => $trigger) {
            $this->post(route('rehearse.expect', $this->cove), ['chat' => $this->state($chat), 'index' => $index])
                ->assertSee("expected of $trigger");
        }
        $this->get(route('write.command', [$this->cove, $this->command('!knot')]))
            ->assertSee('Both still match.')
            ->assertSee('(no reply)');
        $nothing = $this->say('tamsin', 'just a line')->assertDontSee('Keep as expected');
        $this->post(route('rehearse.expect', $this->cove), ['chat' => $this->state($nothing), 'index' => '0'])
            ->assertUnprocessable();
    }

    public function test_a_press_does_what_a_sentence_advises(): void
    {
        $chat = $this->say('tamsin', '!knot', [], $this->say('tamsin', '!knot'));
        $chat->assertSee('Move the clock forward 9 s');
        $this->say('pia', '!knot', [], $this->turn($chat, 9))->assertSee('Pia, tie us a');
        $this->say('tamsin', '!splinter')->assertSee('Say it as Bram');
        $this->say('tamsin', '!tidee @odo')->assertSee('Say !tide')->assertSee('!tide @odo', false);
        $row = $this->command('!tide');
        $draft = $this->fields(['trigger' => '!tide', 'command' => (string) $row->id]);
        $draft['gates']['stream'] = 'offline';
        $this->say('pia', '!tide', $draft)->assertSee('End the stream here');
        $this->say('pia', '!tide', $draft + ['live' => '0'])
            ->assertDontSee('End the stream here')
            ->assertSee('Pia waves');
        $draft['gates']['stream'] = 'live';
        $this->say('pia', '!tide', $draft + ['live' => '0'])->assertSee('Start the stream here');
    }

    public function test_the_flood_limit_can_be_lifted_and_the_clock_goes_to_any_date(): void
    {
        $lines = implode("\n", ['!crew', '!boat', '!now', '!tide', '!chart', '!luck', '!dry']);
        $this->say('pia', $lines)->assertSee('Lift the flood limit here');
        $this->say('pia', $lines, ['no_flood' => '1'])->assertDontSee('Lift the flood limit here');
        $chat = $this->say('pia', '!now');
        $to = fn (string $at): TestResponse => $this->post(route('rehearse.try', $this->cove), [
            'do' => 'at',
            'at' => $at,
            'chat' => $this->state($chat),
        ]);
        $to('2027-03-01T18:30')->assertSee('1 Mar 2027, 18:30:00');
        $to('2026-02-03T09:00')->assertSee('3 Feb 2026, 09:00:00');
        $to('soon')->assertOk()->assertSee('20:00:00');
        $to('0000-01-01T00:00')->assertOk()->assertSee('20:00:00');
        $to('9999-12-31T23:59')->assertOk();
    }

    public function test_pasted_lines_are_said_one_after_the_other_by_whom_they_name(): void
    {
        $chat = $this->say('tamsin', "Bram: !splinter\n\n  ilse: hello\nNobody: hi\n!crew");
        /** @var array{lines: list<array{int, string, string}>} $state */
        $state = json_decode($this->state($chat), true);
        self::assertSame(
            [
                [0, 'bram', '!splinter'],
                [1000, 'ilse', 'hello'],
                [2000, 'tamsin', 'Nobody: hi'],
                [3000, 'tamsin', '!crew'],
            ],
            $state['lines'],
        );
        $alone = json_decode($this->state($this->say('tamsin', 'Bram: !splinter')), true);
        self::assertSame([[0, 'tamsin', 'Bram: !splinter']], is_array($alone) ? $alone['lines'] : null);
    }

    public function test_every_reply_and_branch_is_shown_when_it_is_asked_for(): void
    {
        $html = fn (array $asked): string => (string) $this->post(
            route('write.preview', $this->cove),
            $asked + $this->fields(['responses' => [
                ['text' => '[when target]Visit [target].[else]Name somebody.[end]', 'weight' => '1'],
                ['text' => 'Another reply.', 'weight' => '1'],
            ]]),
        )->json('html');
        self::assertStringNotContainsString('reply 2', $html([]));
        $all = $html(['all' => '1']);
        foreach (['reply 1: when target', 'Visit wren', 'reply 1: else', 'reply 2', 'Another reply.'] as $told) {
            self::assertStringContainsStringIgnoringCase($told, $all);
        }
    }

    public function test_the_length_counts_a_category_as_long_as_they_are_and_is_no_false_alarm(): void
    {
        $html = fn (string $text): string => (string) $this->post(
            route('write.preview', $this->cove),
            $this->fields(['responses' => [['text' => $text, 'weight' => '1']]]),
        )->json('html');
        $shoutOut = $html('[when target]Visit [target], last busy with [target.category].[else]Name somebody.[end]');
        self::assertStringNotContainsString('cut off.', str_replace('would its end be cut off.', '', $shoutOut));
        self::assertStringContainsString('Only with an unusually long title, category or link', $shoutOut);
        self::assertMatchesRegularExpression('/to \d{2,3} of 500 characters\./', $shoutOut);
        self::assertStringContainsString('and what is more is cut off', $html('[words] [words]'));
        self::assertStringNotContainsString('unusually long', $html('Ahoy, [caller].'));
    }

    public function test_findings_come_with_their_places_and_mends(): void
    {
        $found = $this->post(
            route('write.preview', $this->cove),
            $this->fields([
                'responses' => [['text' => '', 'weight' => '1'], ['text' => 'é [caler]', 'weight' => '1']],
                'if_it_fails' => '[]',
            ]),
        )->json('findings');
        self::assertIsArray($found);
        self::assertSame(
            ['3', '8', 'caller', 'unknown-name'],
            [
                $found['responses/0/text'][0]['from'],
                $found['responses/0/text'][0]['to'],
                $found['responses/0/text'][0]['replacement'],
                $found['responses/0/text'][0]['code'],
            ],
        );
        self::assertSame('empty-slot', $found['if_it_fails'][0]['code']);
    }

    /** @param  array<string, mixed>  $fields */
    private function say(string $who, string $line, array $fields = [], ?TestResponse $after = null): TestResponse
    {
        return $this->post(
            route('rehearse.try', $this->cove),
            $fields + [
                'do' => 'say',
                'speaker' => $who,
                'line' => $line,
                'chat' => $after === null ? '' : $this->state($after),
            ],
        )->assertOk();
    }

    private function turn(TestResponse $after, int $seconds): TestResponse
    {
        return $this->post(route('rehearse.try', $this->cove), [
            'do' => 'turn',
            'seconds' => (string) $seconds,
            'chat' => $this->state($after),
        ])->assertOk();
    }

    private function state(TestResponse $answer): string
    {
        preg_match('/name="chat" value="([^"]*)"/', (string) $answer->getContent(), $found);

        return html_entity_decode($found[1] ?? '', ENT_QUOTES);
    }
}
