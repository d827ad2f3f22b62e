<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Models\DefinitionChange;
use App\Models\LiveAddress;
use App\Publish\Editions;
use App\Remember\Counters\CounterLine;
use App\Remember\MemoryEditor;
use App\Storage\Assembler;
use Illuminate\Support\Facades\DB;
use SilverParrot\Memory\Owner;
use Tests\Feature\TestCase;

final class LiveTest extends TestCase
{
    public function test_whoever_knows_the_address_reads_the_number_as_it_is_now(): void
    {
        $this->actingAs($this->wren);
        $this->post(route('remember.live.store', $this->cove), ['shows' => '[counter.planks] planks', 'size' => '64']);
        $address = LiveAddress::query()->firstOrFail();
        auth()->logout();
        $answer = $this->get(route('live.text', $address->token))->assertOk()->assertContent('41 planks');
        self::assertSame([], $answer->headers->getCookies(), 'no session begins with each look');
        app(MemoryEditor::class)->count($this->cove, 'planks', Owner::channel(), 42, $this->wren);
        $this->get(route('live.text', $address->token))->assertContent('41 planks');
        $this->travel(2)->seconds();
        $this->get(route('live.text', $address->token))->assertContent('42 planks');
        $this->get(route('live', [$address->token, 'colour' => '#ffcc00', 'font' => 'evil;}', 'size' => '9999']))
            ->assertSee('data-colour="#ffcc00"', false)
            ->assertSee('data-font="serif"', false)
            ->assertSee('data-size="400"', false);
        $this->get(route('live.text', str_repeat('0', 48)))->assertNotFound();
        $this->actingAs($this->wren)->post(route('remember.live.replace', [$this->cove, $address]));
        auth()->logout();
        $this->get(route('live.text', $address->token))->assertNotFound();
    }

    public function test_it_is_renamed_with_what_it_shows_goes_on_before_that_is_published_and_is_undone(): void
    {
        $this->actingAs($this->wren);
        app(Editions::class)->publish($this->cove->refresh(), '', $this->wren);
        $this->post(route('remember.live.store', $this->cove), ['shows' => '[counter.planks] planks']);
        $this->get(route('remember', $this->cove))->assertSee('live address');
        $counter = $this->cove->counters()->where('name', 'planks')->firstOrFail();
        $this->put(route('remember.named.update', [$this->cove, 'counters', $counter->stable_id]), [
            'name' => 'boards',
            'scope' => 'channel',
            'reset' => 'never',
            'start' => '0',
            'floor' => '0',
            'confirmed' => '1',
        ])->assertSessionHasNoErrors();
        $address = LiveAddress::query()->firstOrFail();
        self::assertSame('[counter.boards] planks', $address->shows);
        $this->get(route('live.text', $address->token))->assertContent('41 planks');
        app(Editions::class)->publish($this->cove->refresh(), '', $this->wren);
        $this->travel(2)->seconds();
        $this->get(route('live.text', $address->token))->assertContent('41 planks');
        $this->delete(route('remember.live.destroy', [$this->cove, $address]))->assertSessionHasNoErrors();
        self::assertSame(0, LiveAddress::query()->count());
        $last = DefinitionChange::query()->where('kind', 'live_addresses')->latest('id')->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $last]));
        $again = LiveAddress::query()->firstOrFail();
        self::assertSame($address->shows, $again->shows);
        self::assertNotSame($address->token, $again->token);
    }

    public function test_what_changes_something_or_needs_a_caller_is_not_shown_live(): void
    {
        $this->actingAs($this->wren);
        foreach (['hello' => 'Ahoy [caller]', 'welcome' => '[fact.hello] Welcome.'] as $name => $text) {
            $fact = ['name' => $name, 'text' => $text, 'is_response' => 1];
            $this->post(route('remember.named.store', [$this->cove, 'facts']), $fact)->assertSessionHasNoErrors();
        }
        $wrong = [
            '[add 1 to counter.planks]' => 'It would change counter.planks',
            'Ahoy [caller]' => 'Nobody calls it',
            '[words]' => 'Nobody calls it',
            '[1 + word 2]' => 'Nobody calls it',
            '[when (words | upper) is "A"]x[end]' => 'Nobody calls it',
            '[counter.plonks]' => 'plonks',
            '[fact.welcome]' => 'Nobody calls it, and fact.hello says who did',
            '' => 'Enter what it shows',
        ];
        foreach ($wrong as $shows => $told) {
            $this->followingRedirects()
                ->from(route('remember.live', $this->cove))
                ->post(route('remember.live.store', $this->cove), ['shows' => $shows])
                ->assertSee($told);
        }
        self::assertSame(0, LiveAddress::query()->count());
    }

    public function test_all_that_has_a_name_is_taken_away_and_comes_back_the_same(): void
    {
        $this->actingAs($this->wren);
        foreach (['facts', 'counters', 'occasions', 'fields', 'goods'] as $kind) {
            foreach (['csv', 'json'] as $format) {
                $text = $this->get(route('remember.take', [$this->cove, $kind, $format]))->streamedContent();
                $this->post(route('remember.look', [$this->cove, $kind]), ['pasted' => $text])
                    ->assertOk()
                    ->assertDontSee('left out')
                    ->assertDontSee('>new<', false)
                    ->assertDontSee('>changed<', false);
            }
        }
        $this->post(route('remember.look', [$this->cove, 'counters']), [
            'pasted' => "name,start,floor\nspills,3,0\nbad name,1,0\ngulls,1,5\nplanks,9,\n",
        ])->assertSee('1 new, 2 left out, 1 changed');
        $this->post(route('remember.bring.keep', [$this->cove, 'counters']));
        self::assertSame(3, $this->cove->counters()->where('name', 'spills')->firstOrFail()->start);
        self::assertSame(9, $this->cove->counters()->where('name', 'planks')->firstOrFail()->start);
        self::assertSame(2, DefinitionChange::query()->where('kind', 'counters')->count());
    }

    public function test_a_counters_page_draws_how_it_came_to_be_what_it_is(): void
    {
        $this->actingAs($this->wren);
        foreach ([42, 45, 40] as $number) {
            app(MemoryEditor::class)->count($this->cove, 'planks', Owner::channel(), $number, $this->wren);
        }
        $page = $this->get(route('remember.counter', [$this->cove, 'planks']))->assertOk();
        $page->assertSee('in 3 steps')->assertSee('45 → 40')->assertSee('<polyline', false);
        $history = DB::table('memory_history')->where('kind', 'counter')->max('id');
        $this->from(route('remember.counter', [$this->cove, 'planks']))
            ->post(route('remember.undo', [$this->cove, $history]))
            ->assertRedirect(route('remember.counter', [$this->cove, 'planks']));
        $this->get(route('remember.counter', [$this->cove, 'planks']))->assertSee('value="45"', false);
        // However long it is, the whole of it is drawn.
        $rows = array_map(fn (int $number): array => [
            'channel_id' => $this->cove->id,
            'kind' => 'counter',
            'name' => 'planks',
            'owner' => '',
            'before' => json_encode($number - 1),
            'after' => json_encode($number),
            'event_key' => '',
            'at' => '2026-11-29 20:00:00',
        ], range(46, 1_245));
        DB::table('memory_history')->insert($rows);
        $counter = app(Assembler::class)->names($this->cove)->counters['planks'];
        [$steps, $count] = app(CounterLine::class)->of($this->cove, $counter, Owner::channel());
        self::assertSame([1_204, 41, 1_245], [$count, $steps[0]['number'], $steps[count($steps) - 1]['number']]);
        self::assertLessThan(410, count($steps));
        self::assertGreaterThan(300, count($steps));
    }

    public function test_an_occasion_is_set_as_people_write_and_what_is_none_is_answered_with_an_example(): void
    {
        $this->actingAs($this->wren);
        $set = fn (string $typed) => $this->post(route('remember.occasion', $this->cove), [
            'occasion' => 'leak',
            'to' => 'typed',
            'typed' => $typed,
        ]);
        $set('10 days ago')->assertSessionHasNoErrors();
        $kept = DB::table('occasion_moments')->where('occasion', 'leak')->value('moment');
        self::assertSame('2026-11-15T20:00:00Z', $kept);
        $set('whenever')->assertSessionHasErrorsIn('occasion leak', 'typed');
        $this->get(route('remember', $this->cove))->assertSee('10 days ago');
    }
}
