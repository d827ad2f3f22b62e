<?php

declare(strict_types=1);

namespace Tests\Feature\Rehearse;

use App\Air\Tallies;
use App\Remember\MemoryEditor;
use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** What a rehearsal has changed is kept only when somebody says so, as one act that is taken back as one. */
final class KeepChangesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_what_was_rehearsed_is_shown_kept_as_one_and_taken_back_as_one(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('bram', 'ahoy');
        Tallies::keep($on->air, new MariaDbStore(DB::connection(), $this->cove->id));
        $chat = $this->rehearsed([['bram', '!splinter'], ['bram', '!plank 2'], ['bram', '!boat Gannet']]);
        $before = $this->wholeMemory();
        $this->keep($chat)
            ->assertSee('Keep these 3 in the real memory?')
            ->assertSee('counter.planks')
            ->assertDontSee('Left out');
        self::assertSame($before, $this->wholeMemory(), 'nothing before it is said');
        $this->keep($chat, ['confirmed' => 1])->assertSee('3 changes are kept');
        self::assertSame(43, $this->remembered(Key::counter('planks')));
        self::assertSame(12, $this->remembered(Key::counter('splinters', Owner::total())), 'the sum goes with it');
        self::assertSame('Gannet', $this->remembered(Key::field('boat', 'account:bram')), 'it is the real Bram’s');
        $page = $this->get(route('remember', $this->cove))->assertSee('kept 3 changes of a rehearsal');
        self::assertSame(1, substr_count((string) $page->getContent(), 'remember/history/'));
        $this->get(route('remember.counter', [$this->cove, 'planks']))
            ->assertSee('kept 3 changes of a rehearsal: counter.planks 41 → 43, …', false);
        $act = (int) DB::table('memory_history')->where('channel_id', $this->cove->id)->max('id');
        $this->post(route('remember.undo', [$this->cove, $act]))->assertSessionHas('notice', 'Undone.');
        self::assertSame(41, $this->remembered(Key::counter('planks')));
        self::assertSame(11, $this->remembered(Key::counter('splinters', Owner::total())));
        self::assertNull($this->remembered(Key::field('boat', 'account:bram')));
        $this->post(route('remember.undo', [$this->cove, $act]))
            ->assertSessionHas('notice', 'That change was taken back before.');
    }

    public function test_the_sum_goes_with_what_is_kept_and_with_nothing_that_is_left_out(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('bram', 'ahoy');
        Tallies::keep($on->air, new MariaDbStore(DB::connection(), $this->cove->id));
        $bram = Owner::viewer('account:bram');
        app(MemoryEditor::class)->count($this->cove, 'biscuits', $bram, 4, $this->wren);
        $before = $this->remembered(Key::counter('biscuits', Owner::total()));
        self::assertIsInt($before);
        // Bram of the cast gets one, and so does Odo, whom nobody has seen.
        $chat = $this->rehearsed([['pia', '!biscuit bram'], ['tamsin', '!biscuit odo']]);
        $this->keep($chat)->assertSee('Left out: odo');
        $this->keep($chat, ['confirmed' => 1])->assertSee('One change is kept');
        self::assertSame(5, $this->remembered(Key::counter('biscuits', $bram)), 'one more than the real Bram had');
        self::assertSame($before + 1, $this->remembered(Key::counter('biscuits', Owner::total())));
    }

    public function test_an_act_is_taken_back_whole_or_not_at_all(): void
    {
        $chat = $this->rehearsed([['bram', '!plank 2'], ['bram', '!splinter']]);
        $this->keep($chat, ['confirmed' => 1])->assertSee('2 changes are kept');
        app(MemoryEditor::class)->count($this->cove, 'planks', Owner::channel(), 7, $this->wren);
        $act = (int) DB::table('memory_history')->whereNotNull('act')->min('id');
        $this->post(route('remember.undo', [$this->cove, $act]))
            ->assertSessionHas('notice', fn (mixed $told): bool => is_string($told) && str_contains($told, 'changed'));
        self::assertSame(7, $this->remembered(Key::counter('planks')));
        self::assertSame(12, $this->remembered(Key::counter('splinters', Owner::total())), 'the other stays too');
    }

    public function test_what_is_of_nobody_in_the_real_chat_is_left_out_and_readers_keep_nothing(): void
    {
        $chat = $this->rehearsed([['tamsin', '!boat Gannet'], ['bram', '!plank']]);
        $this->keep($chat)->assertSee('Left out: tamsin')->assertSee('Keep this in the real memory?');
        $this->keep($this->rehearsed([['tamsin', 'ahoy']]))->assertSee('There is nothing to keep.');
        $this->actingAs($this->member('Rue', \App\Accounts\Role::Reader));
        $this->keep($chat, ['confirmed' => 1])->assertForbidden();
        self::assertSame(41, $this->remembered(Key::counter('planks')));
    }

    /**
     * @param  list<array{string, string}>  $lines
     * @return string the chat, as the page sends it along
     */
    private function rehearsed(array $lines): string
    {
        $chat = '';
        foreach ($lines as [$speaker, $line]) {
            foreach (
                [
                    ['do' => 'say', 'speaker' => $speaker, 'line' => $line, 'large' => 1],
                    ['do' => 'turn', 'seconds' => 60],
                ] as $pressed
            ) {
                $page = $this->post(route('rehearse.try', $this->cove), $pressed + ['chat' => $chat])->assertOk();
                preg_match('/name="chat" value="([^"]*)"/', (string) $page->getContent(), $found);
                $chat = html_entity_decode($found[1] ?? '', ENT_QUOTES);
            }
        }

        return $chat;
    }

    /** @param  array<string, int>  $more */
    private function keep(string $chat, array $more = []): TestResponse
    {
        return $this->post(route('rehearse.keep', $this->cove), ['chat' => $chat] + $more);
    }
}
