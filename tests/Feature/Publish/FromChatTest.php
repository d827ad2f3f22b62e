<?php

declare(strict_types=1);

namespace Tests\Feature\Publish;

use App\Accounts\Role;
use App\Air\ChannelOnAir;
use App\Models\EffectRow;
use App\Models\User;
use App\Publish\Editions;
use App\Publish\FromChat\CarryOut;
use App\Publish\FromChat\EffectState;
use App\Remember\Viewers\Erasing;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** Commands that are changed in the chat: on the air and in the draft, told, marked until looked at, and undone. */
final class FromChatTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_moderator_adds_a_command_which_answers_at_once_and_is_undone_on_the_screen(): void
    {
        $on = $this->onAir();
        $before = $this->editionCount();
        $this->hear($on, 'bram', '!chalk glue Two coats, [caller].', Level::Moderator);
        self::assertSame('Chalked up: !glue says Two coats, [caller].', $this->lastSaid());
        self::assertSame($before + 1, $this->editionCount());
        $this->hear($on, 'odo', '!glue');
        self::assertSame('Two coats, Odo.', $this->lastSaid());
        $row = $this->command('!glue');
        self::assertSame('Two coats, [caller].', CommandRepository::toCore($row)->responses[0]->text());
        self::assertSame($this->air()->command('!glue')?->id, $row->stable_id, 'one id on the air and in the draft');
        $this->get(route('write', [$this->cove, 'find' => 'glue']))
            ->assertSee('changed from chat')
            ->assertSee('one change to see');
        $this->get(route('write.command', [$this->cove, $row]))->assertSee('bram changed it from chat');
        $page = route('write.from-chat', $this->cove);
        $this->get($page)->assertSeeInOrder(['bram', 'added', '!glue', 'Two coats, [caller].', 'undo']);
        $effect = EffectRow::query()->sole();
        self::assertSame([[], []], [$effect->effect, $effect->goes_on], 'nothing is kept that is told already');
        $this->post(route('write.from-chat.undo', [$this->cove, $effect]))
            ->assertSessionHas('notice', 'Taken back, on the air and in the draft.');
        self::assertNull($this->air()->command('!glue'));
        self::assertFalse($this->cove->commands()->where('trigger', '!glue')->exists());
        $this->post(route('write.from-chat.undo', [$this->cove, $effect]))
            ->assertSessionHas('notice', 'That was taken back already.');
        $this->get(route('write', $this->cove))->assertDontSee('changed from chat');
    }

    public function test_what_is_refused_is_told_and_changes_nothing(): void
    {
        $on = $this->onAir();
        $before = $this->editionCount();
        foreach (
            [
                '!chalk tide x' => 'Not chalked up. !tide exists already.',
                '!chalk x [wrods]' => 'Not chalked up. Nothing is named wrods. Did you mean words?',
                '!chalk x [add 1 to counter.planks]' => 'Not chalked up. '
                    .'What changes memory is not to be written in the chat here.',
                '!wipe nothing_there' => 'Not wiped off. There is no command nothing_there.',
            ] as $line => $answer
        ) {
            $this->hear($on, 'bram', $line, Level::Moderator);
            self::assertSame($answer, $this->lastSaid());
        }
        $said = DB::table('outgoing')->count();
        $this->hear($on, 'odo', '!chalk glue x');
        self::assertSame($said, DB::table('outgoing')->count(), 'who may not is not even told');
        self::assertSame($before, $this->editionCount());
        self::assertSame(0, EffectRow::query()->count());
    }

    public function test_the_draft_that_differs_is_left_alone_and_both_are_told(): void
    {
        $on = $this->onAir();
        $row = $this->command('!dry');
        app(CommandRepository::class)->save(
            $this->cove,
            $row,
            CommandRepository::toCore($row)->failing('Wren is writing.'),
            User::query()->firstOrFail(),
            $row->revision,
        );
        $this->hear($on, 'bram', '!wipe dry', Level::Moderator);
        self::assertSame('Wiped off the board: !dry', $this->lastSaid());
        self::assertNull($this->air()->command('!dry'));
        self::assertSame('Wren is writing.', $this->command('!dry')->if_it_fails);
        $this->get(route('write.from-chat', $this->cove))->assertSee('the draft had changed it already');
        $this->post(route('write.from-chat.undo', [$this->cove, EffectRow::query()->sole()]))
            ->assertSessionHas('notice', 'Taken back on the air; the draft differs, and stays as it is.');
        self::assertNotNull($this->air()->command('!dry'));
    }

    public function test_what_was_changed_again_is_not_undone(): void
    {
        $on = $this->onAir();
        $this->hear($on, 'bram', '!chalk glue x', Level::Moderator);
        $this->hear($on, 'bram', '!wipe glue', Level::Moderator);
        [$added, $wiped] = EffectRow::query()->orderBy('id')->get()->all();
        $undo = fn (EffectRow $effect) => $this->post(route('write.from-chat.undo', [$this->cove, $effect]));
        $undo($added)->assertSessionHas('notice', 'It was changed again since, so it stays; change it by hand.');
        $undo($wiped)->assertSessionHas('notice', 'Taken back, on the air and in the draft.');
        self::assertSame('x', $this->air()->command('!glue')?->responses[0]->text());
        $undo($added)->assertSessionHas('notice', 'Taken back, on the air and in the draft.');
        self::assertNull($this->air()->command('!glue'));
    }

    public function test_where_it_waits_for_a_yes_nothing_is_on_the_air_before(): void
    {
        $this->put(route('write.from-chat.rules', $this->cove), ['waits' => '1', 'seen' => '0'])
            ->assertSessionHasNoErrors();
        $on = $this->onAir();
        $this->hear($on, 'bram', '!chalk glue x', Level::Moderator);
        self::assertSame('Not chalked up. It waits for the streamer’s approval.', $this->lastSaid());
        $this->hear($on, 'bram', '!chalk tar y', Level::Moderator);
        [$glue, $tar] = EffectRow::query()->orderBy('id')->get()->all();
        self::assertNull($this->air()->command('!glue'));
        $this->get(route('write.from-chat', $this->cove))->assertSee('Waiting for approval')->assertSee('!glue');
        $decide = fn (EffectRow $effect, string $yes) => $this->post(
            route('write.from-chat.decide', [$this->cove, $effect]),
            ['yes' => $yes],
        );
        $decide($glue, '1')->assertSessionHas('notice', 'It is on the air.');
        $decide($tar, '0')->assertSessionHas('notice', 'Declined; nothing was changed.');
        $decide($tar, '1')->assertSessionHas('notice', 'That was decided already.');
        self::assertSame([true, false], [
            $this->air()->command('!glue') !== null,
            $this->air()->command('!tar') !== null,
        ]);
        // The streamer’s own needs nobody’s yes.
        $this->hear($on, 'wren', '!chalk pitch z', Level::Streamer);
        self::assertNotNull($this->air()->command('!pitch'));
    }

    public function test_what_a_talker_left_behind_is_carried_out_by_the_next_once(): void
    {
        $on = $this->onAir();
        // It dies behind the commit.
        $on->hear('bram', '!chalk glue x', Level::Moderator);
        self::assertNull($this->air()->command('!glue'));
        self::assertSame(EffectState::Waiting, EffectRow::query()->sole()->state);
        $next = $this->onAir();
        self::assertTrue($next->air->owes);
        $this->carryOut($next->air, isTold: false);
        self::assertNotNull($this->air()->command('!glue'));
        $editions = $this->editionCount();
        $said = DB::table('outgoing')->count();
        // It dies before it has noted that it was told: it is not told twice, and not done twice.
        $this->carryOut($this->onAir()->air);
        self::assertSame([$editions, $said], [$this->editionCount(), DB::table('outgoing')->count()]);
        // A lease that was lost carries nothing out.
        $on->hear('bram', '!chalk tar x', Level::Moderator);
        app(CarryOut::class)->waitingIn($this->cove->id, 4711);
        self::assertNull($this->air()->command('!tar'));
    }

    public function test_only_the_streamer_decides_and_who_is_forgotten_is_in_none_of_it(): void
    {
        $on = $this->onAir();
        $this->hear($on, 'zebedee', '!chalk glue x', Level::Moderator);
        $effect = EffectRow::query()->sole();
        app(Erasing::class)->of($this->cove, DB::table('effects')->value('by_viewer_id'));
        foreach (['effects', 'editions', 'changes'] as $table) {
            foreach (DB::table($table)->get() as $row) {
                self::assertStringNotContainsString('zebedee', json_encode($row) ?: '', $table);
            }
        }
        $this->actingAs($this->member('Odo', Role::Author));
        $this->put(route('write.from-chat.rules', $this->cove), ['memory' => '1', 'seen' => '0'])->assertForbidden();
        $this->post(route('write.from-chat.decide', [$this->cove, $effect]), ['yes' => '1'])->assertForbidden();
        $this->post(route('write.from-chat.seen', $this->cove))->assertRedirect();
    }

    public function test_what_the_streamer_has_stopped_stays_silent_whoever_changes_it_in_the_chat(): void
    {
        $on = $this->onAir();
        $this->hear($on, 'bram', '!chalk glue one', Level::Moderator);
        app(Editions::class)->silence($this->cove->refresh(), '!glue', true);
        $this->hear($on, 'bram', '!chalk tar two', Level::Moderator);
        $this->hear($on, 'bram', '!wipe tar', Level::Moderator);
        self::assertFalse($this->air()->command('!glue')?->isOn());
        $this->post(route('write.from-chat.undo', [
            $this->cove,
            EffectRow::query()->where('deed', 'delete command')->sole(),
        ]));
        self::assertFalse($this->air()->command('!glue')->isOn());
        self::assertSame(['two'], array_values(array_map(
            static fn ($one): string => $one->responses[0]->text(),
            array_filter($this->air()->commands, static fn ($one): bool => $one->trigger === '!tar'),
        )));
        // And the one that was stopped, changed itself.
        $row = $this->command('!glue');
        self::assertTrue(CommandRepository::toCore($row)->isOn(), 'the draft has it on');
        $this->hear($on, 'bram', '!wipe glue', Level::Moderator);
        $this->post(route('write.from-chat.undo', [$this->cove, EffectRow::query()->latest('id')->firstOrFail()]));
        self::assertFalse($this->air()->command('!glue')?->isOn());
    }

    public function test_what_was_held_to_be_right_of_a_command_comes_back_with_it_and_its_line_counts_as_answered(): void
    {
        app(CommandRepository::class)->expect($this->command('!dry'), new Expectation(
            '!dry',
            'tamsin',
            ['x'],
            Moment::of(now()),
            'seed',
            'line',
            [],
            [],
        ));
        $on = $this->onAir();
        $this->hear($on, 'bram', '!wipe dry', Level::Moderator);
        $this->post(route('write.from-chat.undo', [$this->cove, EffectRow::query()->sole()]))
            ->assertSessionHas('notice', 'Taken back, on the air and in the draft.');
        self::assertCount(1, $this->command('!dry')->expectations);
        DB::table('outgoing')->update(['state' => 'handed']);
        $this->get(route('publish.chat', ['channel' => $this->cove, 'unanswered' => 1]))->assertDontSee('!wipe dry');
    }

    public function test_one_that_goes_wrong_stops_none_of_the_others(): void
    {
        $on = $this->onAir();
        $on->hear('bram', '!chalk glue one', Level::Moderator);
        $on->hear('bram', '!chalk tar two', Level::Moderator);
        // No person can be read from it, and no JSON of ours looks so.
        DB::table('effects')->orderBy('id')->limit(1)->update(['effect' => '"x"']);
        $this->carryOut($on->air);
        self::assertNotNull($this->air()->command('!tar'));
        self::assertNull($this->air()->command('!glue'));
    }

    public function test_no_more_changes_wait_than_somebody_can_look_at(): void
    {
        $this->put(route('write.from-chat.rules', $this->cove), ['waits' => '1', 'seen' => '0']);
        $on = $this->onAir();
        DB::table('effects')->insert(array_map(fn (int $one): array => [
            'channel_id' => $this->cove->id,
            'event_key' => "asked $one",
            'state' => 'asked',
            'effect' => '[]',
            'goes_on' => '[]',
            'deed' => 'add command',
        ], range(1, 100)));
        $this->hear($on, 'bram', '!chalk glue x', Level::Moderator);
        self::assertSame('Not chalked up. 100 changes wait for the streamer already.', $this->lastSaid());
    }

    public function test_in_the_tried_chat_it_is_the_tried_pack_that_changes(): void
    {
        $say = fn (string $chat, string $line) => (string) $this->post(route('rehearse.try', $this->cove), [
            'do' => 'say',
            'speaker' => 'bram',
            'line' => $line,
            'chat' => $chat,
            'no_flood' => '1',
        ])->assertOk()->getContent();
        $chat = '';
        foreach (
            [
                '!chalk glue Two coats, [caller].' => 'Chalked up: !glue says Two coats, [caller].',
                '!glue' => 'Two coats, Bram.',
                '!chalk tide x' => 'Not chalked up. !tide exists already.',
                '!wipe tide' => 'Wiped off the board: !tide',
                '!wipe glue' => 'Wiped off the board: !glue',
            ] as $line => $answer
        ) {
            $page = $say($chat, $line);
            self::assertStringContainsString($answer, html_entity_decode(strip_tags($page)), $line);
            self::assertSame(1, preg_match('/name="chat" value="([^"]*)"/', $page, $kept));
            $chat = html_entity_decode($kept[1]);
        }
        self::assertSame(0, EffectRow::query()->count());
        self::assertTrue($this->cove->commands()->where('trigger', '!tide')->exists());
    }

    private function onAir(): OnAir
    {
        $editions = app(Editions::class);
        if ($this->editionCount() === 0 || app(Assembler::class)->document($this->cove->refresh())->fromChat->waits) {
            $editions->publish($this->cove->refresh(), 'first', User::query()->firstOrFail());
        }

        return OnAir::of($this->cove);
    }

    private function hear(OnAir $on, string $login, string $line, Level ...$levels): void
    {
        $on->hear($login, $line, ...$levels);
        $this->carryOut($on->air);
    }

    private function carryOut(ChannelOnAir $air, bool $isTold = true): void
    {
        foreach (app(CarryOut::class)->waitingIn($this->cove->id, null) as $number => $event) {
            $air->pack = $this->air();
            $air->happens($event);
            if ($isTold) {
                CarryOut::told($this->cove->id, $number);
            }
        }
    }

    private function air(): Pack
    {
        return app(Editions::class)->onAir($this->cove->refresh()) ?? self::fail('nothing is on the air');
    }

    private function lastSaid(): string
    {
        $text = DB::table('outgoing')->orderByDesc('id')->value('text');

        return is_string($text) ? $text : '';
    }

    private function editionCount(): int
    {
        return $this->cove->editions()->count();
    }
}
