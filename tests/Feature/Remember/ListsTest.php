<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Models\DefinitionChange;
use App\Models\TextListRow;
use App\Publish\Editions;
use App\Storage\Assembler;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chance\Draws;
use SilverParrot\Chat\Level;
use SilverParrot\Memory\Key;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

final class ListsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_items_are_edited_switched_moved_added_and_deleted_each_with_undo(): void
    {
        $before = $this->texts();
        [$first, $second] = [$this->item(0), $this->item(1)];
        $do = fn (string $item, array $what) => $this->put(
            route('remember.list.item', [$this->cove, $this->list()->stable_id, $item]),
            $what,
        )->assertSessionHasNoErrors();
        $do($first, ['do' => 'save', 'text' => 'bowline on a bight', 'weight' => '3']);
        $do($first, ['do' => 'down']);
        $do($second, ['do' => 'off']);
        self::assertSame([$second, $first], [$this->item(0), $this->item(1)], 'ids stay, whatever is edited');
        self::assertSame('bowline on a bight', $this->texts()[1]);
        $this->get(route('remember.list', [$this->cove, $this->list()->stable_id]))
            ->assertSee('bowline on a bight')
            ->assertSee('weight 3')
            ->assertSee('off');
        $add = route('remember.list.add', [$this->cove, $this->list()->stable_id]);
        $this->post($add, ['items' => "one\ntwo\t4\n\n"]);
        self::assertCount(count($before) + 2, $this->texts());
        $do($this->item(count($before)), ['do' => 'delete']);
        foreach (DefinitionChange::query()->where('kind', 'lists')->orderByDesc('id')->get() as $change) {
            $this->post(route('definitions.undo', [$this->cove, $change]));
        }
        self::assertSame($before, $this->texts());
        $this->put(route('remember.list.item', [$this->cove, $this->list()->stable_id, $first]), ['do' => 'save'])
            ->assertSessionHasErrors('text');
        $this->get(route('remember.list', [$this->cove, $this->list()->stable_id, 'find' => 'BOWL']))
            ->assertSee("edit {$before[0]}")
            ->assertDontSee("edit {$before[1]}");
    }

    public function test_what_is_added_from_the_chat_comes_up_until_its_author_keeps_or_deletes_it(): void
    {
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $air = OnAir::of($this->cove);
        $said = static function (string $by, string $line, Level ...$levels) use ($air): string {
            $air->hear($by, $line, ...$levels);

            return (string) DB::table('outgoing')->orderByDesc('id')->value('text');
        };
        self::assertSame(
            'Noted: oil the [hinges]. That makes 4 jobs.',
            $said('bram', '!chore oil the [hinges]', Level::Moderator),
        );
        self::assertStringEndsWith('makes 5 jobs.', $said('bram', '!chore mop', Level::Moderator));
        $jobs = [];
        for ($draw = 0; $draw < 5; $draw++) {
            $jobs[] = str_replace('Next job for Bram: ', '', $said('bram', '!job', Level::Moderator));
        }
        self::assertContains('oil the [hinges].', $jobs, implode('|', $jobs));
        $page = route('remember.list', [$this->cove, 'jobs']);
        $this->get($page)->assertSee('Added from chat')->assertSee('oil the [hinges]');
        $kept = $this->remembered(Key::addedItems('jobs'));
        self::assertIsArray($kept);
        [$oil, $mop] = array_column($kept['items'], 'id');
        $decide = fn (string $item, string $do) => $this->put(
            route('remember.list.from-chat', [$this->cove, 'jobs', $item]),
            ['do' => $do],
        )->assertRedirect();
        $this->get(route('remember', $this->cove))
            ->assertSee('added from chat to list.jobs')
            ->assertSee('“oil the [hinges]” “mop”');
        $decide($mop, 'delete');
        $decide($oil, 'keep');
        $decide($oil, 'keep')->assertSessionHas('notice', 'That was decided already.');
        $this->get($page)->assertSee('Nothing yet.');
        $list = app(Assembler::class)->pack($this->cove->refresh())->lists['jobs'];
        self::assertSame('oil the [hinges]', $list->items[3]->text);
        self::assertSame($oil, $list->items[3]->id);
        // Until it is published, and behind that, it comes once.
        self::assertSame('Noted: tar. That makes 5 jobs.', $said('bram', '!chore tar', Level::Moderator));
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $air->air->pack = app(Editions::class)->onAir($this->cove->refresh());
        self::assertSame('Noted: sew. That makes 6 jobs.', $said('bram', '!chore sew', Level::Moderator));
        // Who is no member of the channel decides nothing.
        $this->actingAs($this->person('Pia'))
            ->put(route('remember.list.from-chat', [$this->cove, 'jobs', $oil]), ['do' => 'delete'])
            ->assertNotFound();
    }

    public function test_what_comes_up_on_the_air_is_counted_beside_what_was_to_be_expected(): void
    {
        $list = $this->list();
        $air = OnAir::of($this->cove);
        $air->air->pack = app(Assembler::class)->pack($this->cove);
        for ($line = 0; $line < 3; $line++) {
            $air->hear(['odo', 'bram', 'tamsin'][$line], '!knot');
        }
        $times = DB::table('list_draws')->where('channel_id', $this->cove->id)->pluck('times')->all();
        self::assertSame(3, array_sum(array_map(intval(...), $times)));
        $this->get(route('remember.list', [$this->cove, $list->stable_id]))
            ->assertSee('3 draws on the air.')
            ->assertSee('1 came');
    }

    public function test_ten_thousand_items_are_brought_found_and_no_more(): void
    {
        $id = $this->list()->stable_id;
        $lines = implode("\n", array_map(static fn (int $n): string => "knot number $n", range(1, 9_990)));
        $this->post(route('remember.look', [$this->cove, 'items', 'of' => $id]), ['pasted' => $lines])
            ->assertSee('9,990 new');
        $this->post(route('remember.bring.keep', [$this->cove, 'items', 'of' => $id]));
        $this->get(route('remember.list', [$this->cove, $id, 'find' => 'number 9988']))->assertSee('knot number 9988');
        $this->post(route('remember.list.add', [$this->cove, $id]), ['items' => str_repeat("more\n", 20)])
            ->assertSessionHasErrors('items');
        $taken = $this->get(route('remember.take', [$this->cove, 'items', 'csv', 'of' => $id]))->streamedContent();
        $this->post(route('remember.look', [$this->cove, 'items', 'of' => $id]), ['pasted' => $taken])
            ->assertDontSee('<p class="save-bar">', false)
            ->assertSee('the same');
    }

    /** Critical values of chi-square at .001: NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.4. */
    public function test_unlikely_is_said_by_the_published_critical_values(): void
    {
        $table = [1 => 10.828, 2 => 13.816, 3 => 16.266, 5 => 20.515, 10 => 29.588, 30 => 59.703, 100 => 149.449];
        foreach ($table as $freedom => $critical) {
            self::assertEqualsWithDelta($critical, Draws::critical($freedom), $critical * 0.006, (string) $freedom);
        }
        self::assertTrue((new Draws([0.5, 0.5], [80, 20]))->isUnlikely());
        self::assertFalse((new Draws([0.5, 0.5], [55, 45]))->isUnlikely());
        self::assertFalse((new Draws([0.5, 0.5], [8, 0]))->isUnlikely(), 'too few to say anything');
        self::assertEqualsWithDelta(36.0, (new Draws([0.5, 0.5], [80, 20]))->chiSquare(), 1e-9);
    }

    private function list(): TextListRow
    {
        return $this->cove->lists()->where('name_folded', 'knots')->firstOrFail();
    }

    private function item(int $at): string
    {
        return $this->list()->items()->offset($at)->limit(1)->firstOrFail()->stable_id;
    }

    /** @return list<string> */
    private function texts(): array
    {
        return array_values($this->list()->items()->pluck('text')->all());
    }
}
