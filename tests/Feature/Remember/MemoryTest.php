<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Publish\Editions;
use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Memory\View;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

final class MemoryTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_number_is_put_right_within_its_bounds_through_a_turn_that_the_air_would_see(): void
    {
        $this->set('planks', '', '120')->assertSessionHas('notice', 'counter.planks is 120.');
        $this->set('PLANKS', '', '400')->assertSessionHas('notice', 'counter.PLANKS is 400.');
        self::assertSame(400, $this->kept(Key::counter('planks')));
        $this->followingRedirects()->set('planks', '', '9999')->assertSee('counter.planks never goes over 400.');
        $this->followingRedirects()->set('planks', '', '-3')->assertSee('counter.planks never goes below 0.');
        self::assertSame(
            [2, 0],
            [
                DB::table('memory_history')->where('user_id', $this->wren->id)->count(),
                DB::table('heard_events')->count(),
            ],
            'a correction is told in the history and needs no event',
        );
        foreach (['12.5', '', '1e9', 'twelve', str_repeat('9', 16)] as $typed) {
            $page = $this->followingRedirects()->set('planks', '', $typed)->assertOk();
            self::assertSame(1, substr_count((string) $page->getContent(), 'not a whole number of at most 15 digits'));
            $page->assertSeeInOrder(
                ['value="planks"', 'value="'.$typed.'"', 'aria-invalid', 'value="splinters"'],
                false,
            );
        }
        $this->set('nothing', '', '1')->assertSessionHas(
            'notice',
            'There is no such counter, or it counts nothing of that kind.',
        );
        $this->set('splinters', Owner::total()->id, '1')->assertSessionHas(
            'notice',
            'There is no such counter, or it counts nothing of that kind.',
        );
        self::assertSame(400, $this->kept(Key::counter('planks')));
    }

    public function test_a_number_of_somebody_in_the_cast_stands_with_the_name(): void
    {
        $this->get(route('remember', $this->cove))
            ->assertSeeInOrder(['counter.biscuits', 'Pia', 'value="6"'], false)
            ->assertDontSee('>cast-pia<', false);
    }

    public function test_a_counter_is_told_in_few_words_and_its_categories_as_the_service_writes_them(): void
    {
        $details = ['categories' => "Planking\nCaulking"] + $this->cove->details;
        $this->cove->update(['details' => $details]);
        $this->get(route('remember', $this->cove))
            ->assertSeeInOrder(['counter.planks', 'one for the channel, from 0 to 400'])
            ->assertSeeInOrder(['counter.splinters', 'one for each category, from 0', 'Planking'])
            ->assertDontSee('<span>planking', false);
    }

    public function test_what_a_counter_has_no_number_for_is_refused_and_breaks_no_page(): void
    {
        foreach (
            [
                'planks' => ['7', '123456', 'category:Planking', 'viewer:x', "a\x1Fb"],
                'splinters' => ['', '7', 'category:', 'viewer:x', 'category:'.str_repeat('w', 400)],
            ] as $name => $owners
        ) {
            foreach ($owners as $owner) {
                $this->set($name, $owner, '1')->assertSessionHas(
                    'notice',
                    'There is no such counter, or it counts nothing of that kind.',
                );
            }
        }
        // What is there from before is not shown, and hinders nothing.
        DB::table('counter_numbers')->insert([
            'channel_id' => $this->cove->id,
            'counter' => 'planks',
            'owner_kind' => 'viewer',
            'viewer_id' => 7,
            'number' => 1,
        ]);
        $this->get(route('remember', $this->cove))->assertOk()->assertSee('counter.planks');
    }

    public function test_the_sum_over_categories_goes_with_a_category(): void
    {
        [$planking, $total] = [
            Key::counter('splinters', Owner::category('Planking')),
            Key::counter('splinters', Owner::total()),
        ];
        [$before, $sum] = [$this->kept($planking), $this->kept($total)];
        self::assertIsInt($before);
        self::assertIsInt($sum);
        $this->set('splinters', Owner::category('Planking')->id, (string) ($before + 5));
        self::assertSame($sum + 5, $this->kept($total));
        $this->get(route('remember', $this->cove))
            ->assertOk()
            ->assertSee('counter.splinters')
            ->assertSee('planking')
            ->assertSeeInOrder(['Wren', 'counter.splinters', "$before → ".($before + 5)]);
    }

    public function test_each_change_tells_who_caused_it_and_is_undone_unless_it_changed_again(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $before = $this->kept(Key::counter('planks'));
        OnAir::of($this->cove)->hear('bram', '!plank 3', Level::Moderator);
        $this->get(route('remember', $this->cove))->assertSeeInOrder(['bram', 'counter.planks', 'undo']);
        $first = (int) DB::table('memory_history')->max('id');
        $this->set('planks', '', '7');
        $second = (int) DB::table('memory_history')->max('id');
        $this->undo($first)->assertSessionHas(
            'notice',
            'It has changed again since, so nothing was taken back; undo the later change first.',
        );
        self::assertSame(7, $this->kept(Key::counter('planks')));
        $this->undo($second)->assertSessionHas('notice', 'Undone.');
        $this->undo($first);
        self::assertSame($before, $this->kept(Key::counter('planks')));
        $this->undo(999)->assertSessionHas('notice', 'There is no such change.');
    }

    public function test_what_was_added_is_taken_out_again_after_more_was_added(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $air = OnAir::of($this->cove);
        $planks = fn (): int => is_int($kept = $this->kept(Key::counter('planks'))) ? $kept : -1;
        $before = $planks();
        $history = [];
        foreach (['3', '40', '5'] as $more) {
            $air->hear('bram', "!plank $more", Level::Moderator);
            $history[] = (int) DB::table('memory_history')->max('id');
        }
        $this->undo($history[1])->assertSessionHas('notice', 'It is taken out again; what came later stays.');
        self::assertSame($before + 8, $planks());
        $this->undo($history[1])->assertSessionHas('notice', 'That change was taken back before.');
        self::assertSame($before + 8, $planks());
        $this->get(route('remember', $this->cove))->assertSee('taken back');
        // Taking out is an addition too, so what came before can still be taken out.
        $this->undo($history[0]);
        self::assertSame($before + 5, $planks());
        $this->set('planks', '', '4');
        $this->undo($history[2])->assertSessionHas(
            'notice',
            'It has changed again since, so nothing was taken back; undo the later change first.',
        );
        self::assertSame(4, $planks());
    }

    public function test_what_was_spent_since_is_not_taken_out(): void
    {
        $key = Key::field('pebbles', 'account:quill');
        $store = new MariaDbStore(DB::connection(), $this->cove->id);
        $add = static fn (int $more) => $store->turn(
            EventKey::none(),
            Reads::of($key),
            static fn (View $memory): Tally => new Tally([
                new Change(
                    $key,
                    ($kept = $memory->value($key)),
                    (is_int($kept) ? $kept : 0) + $more,
                    'viewer.pebbles',
                    'quill',
                    $more,
                ),
            ]),
        );
        [$add(50), ($first = (int) DB::table('memory_history')->max('id')), $add(-30)];
        $this->undo($first)->assertSessionHas(
            'notice',
            'It has changed again since, so nothing was taken back; undo the later change first.',
        );
        self::assertSame(20, $this->kept($key));
        $add(40);
        $this->undo($first);
        self::assertSame(10, $this->kept($key));
        self::assertSame([50, -30, 40, -50], DB::table('ledger')->orderBy('id')->pluck('delta')->all());
    }

    public function test_undoing_in_a_category_takes_the_sum_back_too(): void
    {
        $total = Key::counter('splinters', Owner::total());
        $sum = $this->kept($total);
        $this->set('splinters', Owner::category('Caulking')->id, '77');
        $this->undo((int) DB::table('memory_history')->max('id'));
        self::assertSame($sum, $this->kept($total));
    }

    public function test_an_occasion_is_set_to_now_and_cleared(): void
    {
        $this->post(route('remember.occasion', $this->cove), ['occasion' => 'leak', 'to' => 'now'])->assertSessionHas(
            'notice',
            'occasion.leak is now.',
        );
        self::assertSame('2026-11-25T20:00:00Z', $this->kept(Key::occasion('leak')));
        $this->post(route('remember.occasion', $this->cove), ['occasion' => 'leak', 'to' => 'nothing']);
        self::assertNull($this->kept(Key::occasion('leak')));
        $this->get(route('remember', $this->cove))->assertSee('not set');
        $this->post(route('remember.occasion', $this->cove), ['occasion' => 'wreck', 'to' => 'now'])->assertSessionHas(
            'notice',
            'There is no such occasion.',
        );
    }

    public function test_another_channels_memory_is_neither_shown_nor_undone(): void
    {
        $this->set('planks', '', '7');
        $history = (int) DB::table('memory_history')->max('id');
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia)
            ->get(route('remember', $far))
            ->assertSee('No counters yet')
            ->assertSee('Nothing has changed yet');
        $this->post(route('remember.undo', [$far, $history]))->assertSessionHas('notice', 'There is no such change.');
        self::assertSame(7, $this->kept(Key::counter('planks')));
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function set(string $counter, string $owner, string $number): \Illuminate\Testing\TestResponse
    {
        return $this->from(route('remember', $this->cove))->post(route('remember.count', $this->cove), [
            'counter' => $counter,
            'owner' => $owner,
            'number' => $number,
        ]);
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function undo(int $history): \Illuminate\Testing\TestResponse
    {
        return $this->post(route('remember.undo', [$this->cove, $history]))->assertRedirect();
    }

    private function kept(Key $key): mixed
    {
        return (new MariaDbStore(DB::connection(), $this->cove->id))->snapshot(Reads::of($key))->value($key);
    }
}
