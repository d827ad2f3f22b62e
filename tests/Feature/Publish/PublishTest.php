<?php

declare(strict_types=1);

namespace Tests\Feature\Publish;

use App\Air\ConnectionState;
use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\FactRow;
use App\Models\ListItem;
use App\Models\TextListRow;
use App\Publish\ConnectionHealth;
use App\Publish\Editions;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Database\Eloquent\Factories\Sequence;
use Illuminate\Support\Facades\DB;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;
use Tests\Demo;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

final class PublishTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_the_draft_becomes_an_edition_that_never_changes(): void
    {
        $this->get(route('publish', $this->cove))
            ->assertOk()
            ->assertSee('What publishing would change')
            ->assertSee('!tide');
        $draft = app(Assembler::class)->document($this->cove);
        $this->post(route('publish.store', $this->cove), ['note' => 'The first one'])
            ->assertRedirect()
            ->assertSessionHas('notice', 'Edition 1 is on the air.');
        self::assertEquals($draft, $this->air());
        $row = $this->command('!tide');
        $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields([
                'trigger' => '!tide',
                'responses' => [['text' => 'Low water.', 'weight' => '1']],
                'revision' => (string) $row->revision,
            ]),
        );
        self::assertEquals($draft, $this->air(), 'the air follows editions, not the draft');
        $this->get(route('publish', $this->cove))
            ->assertSee('What publishing would change')
            ->assertSee('<ins>Low', false)
            ->assertSee('[fact.tide] Now it is [now]')
            ->assertSee('The first one');
        $this->post(route('publish.store', $this->cove), ['note' => '']);
        self::assertSame('Low water.', $this->air()?->command('!tide')?->responses[0]->text());
        $this->get(route('publish', $this->cove))->assertSee('Nothing to publish');
    }

    public function test_an_older_edition_is_put_back_with_one_action(): void
    {
        $editions = app(Editions::class);
        $first = $editions->publish($this->cove, 'one', $this->wren);
        $this->delete(route('write.drop', [$this->cove, $this->command('!tide')]));
        $editions->publish($this->cove, 'two', $this->wren);
        self::assertNull($this->air()?->command('!tide'));
        $this->post(route('publish.put', [$this->cove, $first]))->assertSessionHas(
            'notice',
            'Edition 1 is on the air.',
        );
        self::assertNotNull($this->air()?->command('!tide'));
        self::assertSame(Demo::commands() - 1, $this->cove->commands()->count(), 'the draft stays as it is');
    }

    public function test_findings_that_are_errors_keep_a_draft_off_the_air(): void
    {
        $row = $this->command('!tide');
        $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields([
                'trigger' => '!tide',
                'responses' => [['text' => '[caler]', 'weight' => '1']],
                'revision' => (string) $row->revision,
            ]),
        );
        $this->get(route('publish', $this->cove))
            ->assertSee('2 findings')
            ->assertSee('Nothing is named caler.')
            ->assertSee('No response uses fact.tide.');
        $this->get(route('publish', $this->cove))->assertSee('one change with errors left out');
        $this->post(route('publish.store', $this->cove), [
            'chosen' => '1',
            'rest' => '1',
            'changes' => [$row->stable_id],
        ])->assertSessionHasErrors(['changes' => 'Fix 1 error first, or leave the change out: !tide.']);
        self::assertSame(0, $this->cove->editions()->count());
        $this->post(route('publish.store', $this->cove), ['note' => 'x'])->assertSessionHasNoErrors();
        self::assertNull($this->air()?->command('!tide'), 'the others are published without it');
        self::assertNotNull($this->air()?->command('!knot'));
    }

    public function test_an_error_in_what_is_switched_off_keeps_nothing_off_the_air(): void
    {
        $row = $this->save('!tide', ['responses' => [['text' => '[caler]', 'weight' => '1']], 'gates' => [
            'levels' => ['who' => 'everyone'],
            'cooldown' => ['channel' => '10', 'person' => '60'],
        ]]);
        $this->post(route('publish.store', $this->cove), [
            'chosen' => '1',
            'changes' => [$row->stable_id],
        ])->assertSessionHasNoErrors();
        self::assertFalse($this->air()?->command('!tide')?->isOn());
    }

    public function test_chosen_changes_are_published_and_the_others_wait_in_the_draft(): void
    {
        $editions = app(Editions::class);
        $editions->publish($this->cove, '', $this->wren);
        $this->save('!tide', ['responses' => [['text' => 'Low water.', 'weight' => '1']]]);
        $this->save('!dry', ['responses' => [['text' => 'Dry.', 'weight' => '1']]]);
        $knot = $this->command('!knot')->stable_id;
        $tide = $this->command('!tide')->stable_id;
        $this->delete(route('write.drop', [$this->cove, $this->command('!knot')]));
        $this->cove->facts()->where('name', 'tide')->update(['text' => 'Another tide.']);
        $was = $this->air();
        $publish = fn (array $fields) => $this->post(route('publish.store', $this->cove), $fields + ['chosen' => '1']);
        $publish([])->assertSessionHasErrors(['changes' => 'Choose what to publish.']);
        $publish(['changes' => [$tide]])->assertSessionHasNoErrors();
        $is = $this->air();
        self::assertSame('Low water.', $is?->command('!tide')?->responses[0]->text());
        self::assertEquals($was?->command('!dry'), $is->command('!dry'));
        self::assertNotNull($is->command('!knot'), 'its deletion waits');
        self::assertEquals($was->facts, $is->facts);
        $publish(['rest' => '1', 'changes' => [$knot]])->assertSessionHasNoErrors();
        self::assertNull($this->air()?->command('!knot'));
        self::assertSame('Another tide.', $this->air()?->facts['tide']->text);
        $this->get(route('publish', $this->cove))
            ->assertSee('<b>!dry</b>', false)
            ->assertDontSee('<b>!tide</b>', false);
        self::assertEquals(
            app(Assembler::class)->document($this->cove)->command('!tide'),
            $this->air()?->command('!tide'),
        );
    }

    public function test_replies_that_were_stopped_stay_so_where_another_command_is_published(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        foreach (['!knot', '!tide'] as $trigger) {
            $this->post(route('publish.silence', $this->cove), ['trigger' => $trigger, 'silent' => '1']);
        }
        $tide = $this->save('!tide', ['responses' => [['text' => 'Low water.', 'weight' => '1']]])->stable_id;
        $this->post(route('publish.store', $this->cove), ['chosen' => '1', 'changes' => [$tide]]);
        self::assertFalse($this->air()?->command('!knot')?->isOn());
        self::assertTrue($this->air()?->command('!tide')?->isOn());
    }

    public function test_what_a_change_needs_must_come_along(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $tide = $this->command('!tide')->stable_id;
        FactRow::factory()->for($this->cove)->create(['name' => 'shed', 'text' => 'By the slipway.']);
        $this->save('!tide', ['responses' => [['text' => '[fact.shed]', 'weight' => '1']]]);
        $publish = fn (array $fields) => $this->post(route('publish.store', $this->cove), $fields + ['chosen' => '1']);
        $publish(['changes' => [$tide]])->assertSessionHasErrors([
            'changes' => 'Fix 1 error first, or leave the change out: !tide.',
        ]);
        $publish(['changes' => [$tide], 'rest' => '1'])->assertSessionHasNoErrors();
        $this->cove->facts()->where('name', 'shed')->delete();
        $this->get(route('publish', $this->cove))->assertSee('Fix the error first.');
        $publish(['rest' => '1'])->assertSessionHasErrors([
            'changes' => 'Fix 1 error first, or leave the change out: !tide.',
        ]);
    }

    public function test_two_commands_are_never_on_the_air_under_one_trigger(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $this->delete(route('write.drop', [$this->cove, $this->command('!knot')]));
        $tide = $this->save('!tide', ['trigger' => '!knot'])->stable_id;
        $this->post(route('publish.store', $this->cove), ['chosen' => '1', 'changes' => [$tide]])
            ->assertSessionHasErrors([
                'changes' => '!knot and !knot would have the same trigger. Publish both changes, or neither.',
            ]);
    }

    public function test_what_a_command_said_last_stands_with_it(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $air = OnAir::of($this->cove);
        $air->hear('pia', '!chart');
        $this->get(route('publish', $this->cove))->assertSee('not used this week')->assertDontSee('once this week');
        DB::table('outgoing')->update(['state' => 'handed', 'handed_at' => now('UTC')]);
        $this->get(route('publish', $this->cove))->assertSee('once this week')->assertSee('place=lantern%20cove');
        DB::table('outgoing')->update(['handed_at' => now('UTC')->subDays(8)]);
        $this->get(route('publish', $this->cove))->assertDontSee('once this week');
    }

    public function test_what_is_no_longer_right_is_shown_before_it_is_published(): void
    {
        app(CommandRepository::class)->expect(
            $this->command('!chart'),
            new Expectation('!chart', 'pia', ['another answer'], new Moment(1_795_597_200_000), '1', 'e'),
        );
        $this->get(route('publish', $this->cove))
            ->assertSee('No longer as expected')
            ->assertSee('another answer')
            ->assertSee('place=lantern%20cove');
    }

    public function test_one_command_and_the_whole_parrot_fall_silent_at_once(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $this->post(route('publish.silence', $this->cove), ['trigger' => '!TIDE', 'silent' => '1']);
        self::assertFalse($this->air()?->command('!tide')?->isOn());
        self::assertTrue($this->air()?->command('!knot')?->isOn());
        $this->post(route('publish.silence', $this->cove), ['trigger' => 'no such command', 'silent' => '1']);
        self::assertSame(['!tide'], $this->cove->refresh()->silenced);
        $this->post(route('publish.silence', $this->cove), ['trigger' => '!tide', 'silent' => '0']);
        self::assertTrue($this->air()?->command('!tide')?->isOn());
        $this->post(route('publish.pause', $this->cove), ['paused' => '1']);
        self::assertTrue($this->cove->refresh()->paused);
        $this->get(route('publish', $this->cove))->assertSee('the parrot answers nothing');
    }

    public function test_the_connections_health_is_told_in_plain_words(): void
    {
        $told = fn (): string => app(ConnectionHealth::class)->inWords($this->cove->refresh());
        self::assertStringContainsString('Nothing is published yet', $told());
        app(Editions::class)->publish($this->cove, '', $this->wren);
        self::assertStringContainsString('The talker is not running', $told());
        foreach (
            [
                'moderator' => 'with the rights it needs',
                'connected' => 'make its account one',
                'away' => 'it tries again by itself',
            ] as $state => $words
        ) {
            Channel::query()
                ->whereKey($this->cove->id)
                ->update(['air_state' => $state, 'air_seen_at' => now()]);
            self::assertStringContainsString($words, $told());
        }
        $this->get(route('publish', $this->cove))->assertSee('it tries again by itself');
        foreach (ConnectionState::cases() as $state) {
            Channel::query()->whereKey($this->cove->id)->update(['air_state' => $state]);
            self::assertMatchesRegularExpression('/^\p{Lu}.* .*\.$/u', $told(), $state->value);
        }
    }

    public function test_lines_it_could_not_hear_are_told_with_the_connections_health(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $told = function (?array $troubles): string {
            Channel::query()
                ->whereKey($this->cove->id)
                ->update([
                    'air_state' => 'moderator',
                    'air_seen_at' => now(),
                    'air_troubles' => $troubles === null ? null : json_encode($troubles),
                ]);

            return app(ConnectionHealth::class)->inWords($this->cove->refresh());
        };
        self::assertStringNotContainsString('dropped', $told(null));
        self::assertStringNotContainsString('error', $told(['failed' => 0, 'failed_at' => '', 'dropped' => 0]));
        self::assertStringContainsString(
            'One line came faster than the parrot can hear, and was skipped.',
            $told(['failed' => 0, 'failed_at' => '', 'dropped' => 1]),
        );
        $both = $told(['failed' => 2, 'failed_at' => '2026-11-25T20:15:00Z', 'dropped' => 1_200]);
        self::assertStringContainsString('1,200 lines came faster than the parrot can hear, and were skipped.', $both);
        self::assertStringContainsString(
            '2 errors kept it from hearing or answering a line, last at '
                .(new \DateTimeImmutable('2026-11-25T20:15:00Z'))
                    ->setTimezone(new \DateTimeZone($this->cove->zone))
                    ->format('H:i')
                .';',
            $both,
        );
        $this->get(route('publish', $this->cove))->assertSee('1,200 lines came faster');
    }

    public function test_a_pack_that_could_not_be_read_back_is_not_published(): void
    {
        $this->actingAs($this->wren);
        $named = static fn (Sequence $at): array => ['name' => "log{$at->index}"];
        $this->insert(
            FactRow::factory()
                ->for($this->cove)
                ->sequence($named)
                ->state(['text' => str_repeat('knots and ropes ', 130)]),
            900,
        );
        $list = TextListRow::factory()->for($this->cove)->create();
        $placed = static fn (Sequence $at): array => ['list_id' => $list->id, 'position' => $at->index];
        $this->insert(
            ListItem::factory()
                ->for($this->cove)
                ->sequence($placed)
                ->state(['text' => str_repeat('planks and nails ', 60)]),
            2_700,
        );
        $this->post(route('publish.store', $this->cove), ['note' => 'all of it'])->assertSessionHasErrors([
            'changes' => 'The pack is 5.0 MB long, and an edition holds at most 4. Delete what is no longer used, '
                .'or pictures of emotes.',
        ]);
        self::assertSame(0, $this->cove->editions()->count());
    }

    public function test_falling_behind_is_told_where_sayings_wait(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        Channel::query()
            ->whereKey($this->cove->id)
            ->update(['air_state' => 'moderator', 'air_seen_at' => now(), 'air_knows_people' => true]);
        $far = $this->harbour($this->person('Pia'));
        $queue = static fn (Channel $channel, string $key, int $secondsAgo, string $state): bool => DB::table(
            'outgoing',
        )->insert([
            'channel_id' => $channel->id,
            'event_key' => $key,
            'position' => 0,
            'text' => 'x',
            'voice' => 'parrot',
            'place' => 'chat',
            'answer_to' => '',
            'to_login' => '',
            'state' => $state,
            'queued_at' => now('UTC')->subSeconds($secondsAgo),
        ]);
        $told = fn (): string => app(ConnectionHealth::class)->inWords($this->cove->refresh());
        [
            $queue($this->cove, 'now', 0, 'queued'),
            $queue($this->cove, 'said', 30, 'handed'),
            $queue($far, 'far', 30, 'queued'),
        ];
        self::assertStringNotContainsString('behind', $told());
        $queue($this->cove, 'late', 6, 'queued');
        self::assertStringContainsString(
            'It is falling behind: one saying waits for room under the chat’s limits.',
            $told(),
        );
        $queue($this->cove, 'later', 5, 'queued');
        self::assertStringContainsString('2 sayings wait', $told());
    }

    public function test_editions_of_two_channels_are_counted_apart(): void
    {
        $far = $this->harbour($pia = $this->person('Pia'));
        $editions = app(Editions::class);
        self::assertSame(
            [1, 1, 2],
            [
                $editions->publish($this->cove, '', $this->wren)->number,
                $editions->publish($far, '', $pia)->number,
                $editions->publish($this->cove, '', $this->wren)->number,
            ],
        );
        self::assertNull($this->air()?->command('!bell'));
    }

    /** @param  array<string, mixed>  $changed fields */
    private function save(string $trigger, array $changed): CommandRow
    {
        $row = $this->command($trigger);
        $this->put(
            route('write.update', [$this->cove, $row]),
            $this->fields($changed + ['trigger' => $trigger, 'revision' => (string) $row->revision]),
        )->assertRedirect();

        return $row->refresh();
    }

    private function air(): ?Pack
    {
        return app(Editions::class)->onAir(Channel::query()->findOrFail($this->cove->id));
    }
}
