<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Accounts\Role;
use App\Models\DefinitionChange;
use App\Remember\MemoryEditor;
use App\Remember\Viewers\FieldValueRequest;
use App\Storage\Assembler;
use App\Write\Findings;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use SilverParrot\Chat\Level;
use SilverParrot\Format\PackFormat;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\FieldLimits;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Limits;
use Tests\Feature\TestCase;

/** Facts, lists, counters, occasions and fields are made, changed and deleted on the screen, each with its undo. */
final class NamedTest extends TestCase
{
    private const TYPED = [
        'facts' => ['name' => 'shed', 'text' => 'By the slipway.'],
        'lists' => ['name' => 'greetings', 'draw_order' => 'shuffled', 'items' => "Ahoy\t3\nHello there\n\nGood tide"],
        'counters' => [
            'name' => 'spills',
            'scope' => 'category',
            'reset' => 'never',
            'start' => '0',
            'floor' => '0',
            'ceiling' => '',
        ],
        'occasions' => ['name' => 'regatta'],
        'fields' => ['name' => 'anchor', 'type' => 'text', 'start' => ''],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_each_kind_is_made_and_used_from_a_response_at_once(): void
    {
        foreach (self::TYPED as $kind => $fields) {
            $this->make($kind, $fields)->assertRedirect(route('remember', $this->cove))->assertSessionHasNoErrors();
        }
        $pack = $this->pack();
        self::assertSame('By the slipway.', $pack->facts['shed']->text);
        self::assertSame(
            [['Ahoy', 3], ['Hello there', 1], ['Good tide', 1]],
            array_map(static fn ($item): array => [$item->text, $item->weight], $pack->lists['greetings']->items),
        );
        self::assertSame(
            [CounterScope::Category, 0, null],
            [$pack->counters['spills']->scope, $pack->counters['spills']->floor, $pack->counters['spills']->ceiling],
        );
        self::assertArrayHasKey('regatta', $pack->occasions);
        self::assertArrayHasKey('anchor', $pack->fields);
        $said = $this->post(route('rehearse.try', $this->cove), $this->fields(['responses' => [
            ['text' => '[fact.shed] [add 1 to counter.spills] [caller.anchor or "none"]', 'weight' => '1'],
        ]]) + ['do' => 'say', 'speaker' => 'pia', 'line' => '!wave', 'chat' => '']);
        $said->assertSee('By the slipway. 1 none');
        $this->get(route('remember', $this->cove))
            ->assertSee('fact.shed')
            ->assertSee('3 items, shuffled')
            ->assertSee('counter.spills was made');
    }

    public function test_a_name_that_is_not_there_is_a_finding_that_leads_to_making_it(): void
    {
        $makes = function (string $text): ?string {
            $found = $this->post(
                route('write.preview', $this->cove),
                $this->fields(['responses' => [['text' => $text, 'weight' => '1']]]),
            )->json('findings');
            $first = is_array($found) ? $found['responses/0/text'][0] ?? null : null;

            return is_array($first) && is_string($first['makes']) ? $first['makes'] : null;
        };
        foreach (['counter.spills', 'list.greetings', 'fact.shed', 'occasion.regatta', 'caller.anchor'] as $name) {
            $address = $makes("[$name]");
            self::assertNotNull($address, $name);
            $this->get($address)->assertOk()->assertSee('value="'.explode('.', $name)[1].'"', false);
        }
        self::assertNull($makes('[caler]'));
        self::assertNull($makes('[channel.nothing]'));
    }

    public function test_what_is_changed_keeps_its_id_and_each_change_is_taken_back(): void
    {
        $was = $this->pack();
        $this->put(route('remember.named.update', [$this->cove, 'facts', $was->facts['tide']->id]), [
            'name' => 'water',
            'text' => 'High at four.',
            'confirmed' => '1',
        ])->assertSessionHas('notice', 'fact.water is saved.');
        self::assertSame($was->facts['tide']->id, $this->pack()->facts['water']->id);
        $knots = $was->lists['knots'];
        $this->put(route('remember.named.update', [$this->cove, 'lists', $knots->id]), [
            'name' => 'knots',
            'draw_order' => 'in_turn',
            'items' => "bowline\t2\na new one",
        ]);
        $ids = array_column($knots->items, 'id', 'text');
        self::assertSame($ids['bowline'], $this->pack()->lists['knots']->items[0]->id, 'an item keeps its id');
        $this->delete(route('remember.named.destroy', [$this->cove, 'counters', $was->counters['splinters']->id]))
            ->assertSessionHas(
                'notice',
                fn (string $told): bool => str_starts_with($told, 'counter.splinters was deleted.'),
            );
        self::assertArrayNotHasKey('splinters', $this->pack()->counters);
        foreach (DefinitionChange::query()->orderByDesc('id')->get() as $change) {
            $this->post(route('definitions.undo', [$this->cove, $change]))->assertSessionHas('notice', 'Undone.');
        }
        // The name that the command has now is its own matter.
        self::assertEquals($was->facts, $this->pack()->facts);
        self::assertEquals($was->lists, $this->pack()->lists);
        self::assertEquals($was->counters, $this->pack()->counters);
    }

    public function test_a_new_name_is_shown_in_every_use_before_it_is_taken_and_then_stands_in_all_of_them(): void
    {
        $counter = $this->pack()->counters['splinters'];
        $fields = ['name' => 'chips', 'scope' => 'category', 'reset' => 'never', 'start' => '0', 'floor' => '0'];
        $rename = fn (array $more): TestResponse => $this->put(
            route('remember.named.update', [$this->cove, 'counters', $counter->id]),
            $more + $fields,
        );
        $rename([])->assertOk()->assertSee('Rename counter.splinters to counter.chips')->assertSee('!splinter');
        self::assertArrayHasKey('splinters', $this->pack()->counters);
        $rename(['confirmed' => '1'])->assertRedirect(route('remember', $this->cove));
        $pack = $this->pack();
        self::assertSame($counter->id, $pack->counters['chips']->id, 'what it counted stays');
        self::assertStringContainsString('counter.chips', $pack->command('!splinter')?->responses[0]->text() ?? '');
        foreach ($pack->commands as $command) {
            self::assertStringNotContainsString('counter.splinters', implode("\n", $command->sources()));
        }
        $this->post(route('rehearse.try', $this->cove), [
            'do' => 'say',
            'speaker' => 'bram',
            'line' => '!splinter',
            'chat' => '',
        ])->assertSee('Splinters while Planking: 10 (12 in all)');
    }

    public function test_records_of_the_cast_and_ranks_follow_the_new_name_of_a_field(): void
    {
        $field = $this->pack()->fields['pebbles'];
        $this->cove->ladders()->where('name', 'pebbles')->firstOrFail();
        $member = $this->cove->castMembers()->where('record', 'like', '%pebbles%')->firstOrFail();
        $had = $member->record['pebbles'];
        $this->put(route('remember.named.update', [$this->cove, 'fields', $field->id]), [
            'name' => 'shells',
            'type' => $field->type->value,
            'start' => $field->start,
            'confirmed' => '1',
        ])->assertSessionHasNoErrors()->assertRedirect(route('remember', $this->cove));
        self::assertSame($had, $member->refresh()->record['shells'] ?? null);
        self::assertArrayNotHasKey('pebbles', $member->record);
        self::assertTrue($this->cove->ladders()->where('name', 'shells')->exists());
        self::assertFalse($this->cove->ladders()->where('name', 'pebbles')->exists());
    }

    public function test_limits_and_who_may_change_it_are_kept_told_and_held_to(): void
    {
        $this->make('fields', [
            'name' => 'age',
            'type' => 'number',
            'least' => '0',
            'most' => '120',
            'changed_by' => 'moderator+',
            'own_only' => '1',
            'not_by_hand' => '1',
        ])->assertSessionHasNoErrors();
        $this->make('fields', ['name' => 'call', 'type' => 'text', 'longest' => '5'])->assertSessionHasNoErrors();
        $this->make('counters', ['name' => 'anchors', 'changed_by' => 'regular vip'] + self::TYPED['counters'])
            ->assertSessionHasNoErrors();
        $pack = $this->pack();
        self::assertEquals(
            new ChangeRule(new LevelRule(atLeast: Level::Moderator), ownOnly: true, byHand: false),
            $pack->fields['age']->changes,
        );
        self::assertEquals(new FieldLimits(0, 120), $pack->fields['age']->limits);
        self::assertSame([Level::Regular, Level::Vip], $pack->counters['anchors']->changes->levels->anyOf);
        [$again, $flaws] = PackFormat::read(PackFormat::write(app(Assembler::class)->document($this->cove)));
        self::assertSame([], $flaws);
        self::assertEquals([$pack->fields, $pack->counters], [$again->fields, $again->counters]);
        $told = 'a number, from 0 to 120, changed by moderators and up alone, '
            .'each viewer changes their own, never by hand';
        $this->get(route('remember', $this->cove))
            ->assertSee($told)
            ->assertSee('a text, at most 5 characters')
            ->assertSee('changed by regulars and VIPs alone');
        $this->get(route('remember.named.edit', [$this->cove, 'counters', 'anchors']))
            ->assertSee('<option value="regular vip" selected>regulars and VIPs</option>', false);
        $this->make('fields', ['name' => 'depth', 'type' => 'number', 'least' => '5', 'most' => '4'])
            ->assertSessionHasErrors('most');
        $this->make('fields', ['name' => 'depth', 'type' => 'number', 'changed_by' => 'captain+'])
            ->assertSessionHasErrors(['changed_by' => 'Choose who may change it.']);
        $bram = $this->cove->viewers()->firstOrFail();
        $set = fn (string $field, string $value): TestResponse => $this->put(
            route('remember.person.field', [$this->cove, $bram]),
            ['field' => $field, 'value' => $value],
        );
        $set('age', '7')->assertSessionHasErrorsIn(FieldValueRequest::bag('age'), [
            'value' => 'It is set by responses alone.',
        ]);
        $set('call', 'herons')->assertSessionHasErrorsIn(FieldValueRequest::bag('call'), [
            'value' => 'It must be a text of at most 5 characters.',
        ]);
        $set('call', 'heron')->assertSessionHasNoErrors();
    }

    public function test_what_is_wrong_with_a_thing_stands_beside_it_with_the_mend(): void
    {
        $this->cove->facts()->create([
            'stable_id' => 'round',
            'name' => 'round',
            'name_folded' => 'round',
            'text' => 'again [fact.round]',
            'is_response' => true,
        ]);
        $this->cove->counters()->where('name', 'planks')->update(['start' => 500]);
        $this->get(route('remember', $this->cove))
            ->assertSee('It leads back to itself')
            ->assertSee('counter.planks starts at 500, outside its floor and ceiling. Change its floor');
    }

    public function test_an_address_takes_extra_parts_that_its_author_named_once(): void
    {
        $fact = ['name' => 'chart', 'text' => 'https://cove.example/chart'];
        $this->make('facts', ['parts' => "chat from=chat\nnothing"] + $fact)->assertSessionHasErrors([
            'parts' => 'Line 2 is no part: write a name and what is added, “chat from=chat”.',
        ]);
        $this->make('facts', ['parts' => "chat from=chat\njoin /join"] + $fact)->assertSessionHasNoErrors();
        self::assertSame(['chat' => 'from=chat', 'join' => '/join'], $this->pack()->facts['chart']->parts);
        $this->post(route('rehearse.try', $this->cove), $this->fields(['responses' => [
            ['text' => 'Look: [fact.chart.join.chat]', 'weight' => '1'],
        ]]) + ['do' => 'say', 'speaker' => 'pia', 'line' => '!wave', 'chat' => ''])
            ->assertSee('https://cove.example/chart/join?from=chat');
    }

    public function test_each_tells_who_changed_it_last_and_how_much_is_still_to_come(): void
    {
        $this->cove->lists()->where('name', 'knots')->update(['draw_order' => 'in_turn']);
        $items = $this->pack()->lists['knots']->items;
        app(MemoryEditor::class)->change(
            $this->cove,
            $this->wren,
            Reads::of(Key::listPosition('knots')),
            static fn (): array => [
                new Change(Key::listPosition('knots'), null, ['last' => $items[0]->id, 'place' => 0], '', ''),
            ],
        );
        $planks = ['counter' => 'planks', 'owner' => Owner::channel()->id, 'number' => '5'];
        $this->post(route('remember.count', $this->cove), $planks);
        // The database's own clock dates it.
        DB::table('memory_history')->update(['at' => '2026-11-23 20:00:00']);
        $this->get(route('remember', $this->cove))
            ->assertSee(count($items).' items, in turn, '.(count($items) - 1).' to come')
            ->assertSee('last changed by Wren 2 days ago');
    }

    public function test_a_list_is_told_its_bounds_and_never_cut(): void
    {
        $list = fn (string $items): TestResponse => $this->make('lists', ['items' => $items] + self::TYPED['lists']);
        $list("short\n".str_repeat('x', Limits::SOURCE + 1))->assertSessionHasErrors([
            'items' => 'Line 2 has more than '.number_format(Limits::SOURCE).' characters.',
        ]);
        $list(str_repeat("x\n", PackFormat::ITEMS + 1))->assertSessionHasErrors([
            'items' => 'A list has at most 10,000 items.',
        ]);
        $long = str_repeat('ä', Limits::SOURCE);
        $list($long)->assertSessionHasNoErrors();
        self::assertSame($long, $this->pack()->lists['greetings']->items[0]->text);
    }

    public function test_there_are_no_more_of_a_kind_than_a_pack_has_room_for(): void
    {
        $rows = array_map(fn (int $number): array => [
            'channel_id' => $this->cove->id,
            'stable_id' => "many$number",
            'name' => "many$number",
            'name_folded' => "many$number",
        ], range(1, PackFormat::DEFINITIONS));
        $this->cove->occasions()->getQuery()->insert($rows);
        $this->make('occasions', self::TYPED['occasions'])->assertSessionHasErrors([
            'name' => 'There are 1,000 already: delete one first.',
        ]);
    }

    public function test_an_id_is_new_whatever_the_case_of_the_one_before(): void
    {
        $this->make('facts', ['name' => 'Jetty', 'text' => 'a']);
        $this->put(route('remember.named.update', [$this->cove, 'facts', 'Jetty']), [
            'name' => 'pier',
            'text' => 'a',
            'confirmed' => '1',
        ]);
        $this->make('facts', ['name' => 'jetty', 'text' => 'b'])->assertSessionHasNoErrors();
        $ids = array_map(static fn ($fact): string => mb_strtolower($fact->id), $this->pack()->facts);
        self::assertSame($ids, array_unique($ids));
        self::assertCount(1, array_keys($ids, 'jetty', true));
    }

    public function test_what_is_used_is_deleted_only_after_it_was_told_what_would_miss_it(): void
    {
        app(Findings::class)->of($this->cove, null);
        $this->get(route('remember', $this->cove))->assertSee('!splinter</a>', false)->assertSee('!knot</a>', false);
        $delete = fn (array $more): TestResponse => $this->delete(
            route('remember.named.destroy', [$this->cove, 'lists', $this->pack()->lists['knots']->id]),
            $more,
        );
        $delete([])->assertOk()->assertSee('One uses it and would fail')->assertSee('!knot');
        self::assertArrayHasKey('knots', $this->pack()->lists);
        $delete(['confirmed' => '1'])->assertSessionHas('notice', 'list.knots was deleted.');
        self::assertArrayNotHasKey('knots', $this->pack()->lists);
    }

    public function test_what_is_wrong_is_told_and_stays_typed(): void
    {
        $this->make('facts', ['name' => 'TIDE', 'text' => 'x'])->assertSessionHasErrors([
            'name_folded' => 'There is one of this name already.',
        ]);
        $this->make('facts', ['name' => 'two words', 'text' => 'x'])->assertSessionHasErrors('name');
        $this->make('facts', ['name' => 'empty', 'text' => ''])->assertSessionHasErrors(['text' => 'Enter the text.']);
        $this->make('lists', ['name' => 'none', 'draw_order' => 'free', 'items' => ''])->assertSessionHasErrors(
            'items',
        );
        $this->make('counters', ['start' => '5', 'floor' => '6'] + self::TYPED['counters'])->assertSessionHasErrors([
            'floor' => 'The floor cannot be above the start.',
        ]);
        $this->get(route('remember', [$this->cove, 'kind' => 'counters', 'edit' => 'new']))
            ->assertSee('value="spills"', false)
            ->assertSee('The floor cannot be above the start.')
            ->assertSee('aria-describedby="floor-problem" autofocus', false);
        $this->make('boats', ['name' => 'x'])->assertNotFound();
        $this->actingAs($this->member('Rue', Role::Reader));
        $this->make('facts', self::TYPED['facts'])->assertForbidden();
        $this->get(route('remember', $this->cove))->assertOk()->assertDontSee('Make a fact');
    }

    /** @param  array<string, string>  $fields */
    private function make(string $kind, array $fields): TestResponse
    {
        return $this->post(route('remember.named.store', [$this->cove, $kind]), $fields);
    }

    private function pack(): Pack
    {
        return app(Assembler::class)->pack($this->cove->refresh());
    }

    public function test_what_is_said_as_a_response_counts_as_a_use_is_renamed_with_the_others_and_copied(): void
    {
        $this->actingAs($this->wren);
        $this->cove->facts()->create([
            'stable_id' => 'door',
            'name' => 'door',
            'name_folded' => 'door',
            'text' => 'At [fact.workshop] lie [counter.planks] planks.',
            'is_response' => true,
        ]);
        $this->get(route('remember', $this->cove))->assertSee('fact.door</a>', false);
        $this->delete(route('remember.named.destroy', [$this->cove, 'facts', 'workshop']))->assertSee('fact.door');
        $rename = route('remember.named.update', [$this->cove, 'facts', 'workshop']);
        $typed = ['name' => 'shed', 'text' => 'the shed by the slipway'];
        $this->put($rename, $typed)->assertSee('said as responses');
        $this->put($rename, $typed + ['confirmed' => '1'])->assertRedirect();
        self::assertSame(
            'At [fact.shed] lie [counter.planks] planks.',
            $this->cove->facts()->where('stable_id', 'door')->value('text'),
        );
        $this->post(route('remember.named.copy', [$this->cove, 'lists', 'knots']));
        $copy = $this->cove->lists()->where('name_folded', 'knots2')->firstOrFail();
        self::assertSame(
            $this->cove->lists()->where('name_folded', 'knots')->firstOrFail()->items()->pluck('text')->all(),
            $copy->items()->pluck('text')->all(),
        );
        $this->get(route('remember', [$this->cove, 'find' => 'Bowline']))
            ->assertSee('list.knots2')
            ->assertDontSee('list.jobs');
    }

    public function test_another_text_of_a_fact_shows_which_sayings_it_changes_before_it_does(): void
    {
        $this->actingAs($this->wren);
        $change = route('remember.named.update', [$this->cove, 'facts', 'workshop']);
        $this->put($change, ['name' => 'workshop', 'text' => 'the loft above the chandler'])
            ->assertSee('!where')
            ->assertSee('the loft above the chandler')
            ->assertSee('as they would be said now');
        self::assertSame('the shed by the slipway', $this->cove->facts()->where('name', 'workshop')->value('text'));
        $typed = ['name' => 'workshop', 'text' => 'the loft above the chandler', 'seen_sayings' => '1'];
        $this->put($change, $typed)->assertRedirect();
        self::assertSame('the loft above the chandler', $this->cove->facts()->where('name', 'workshop')->value('text'));
        $this->put($change, ['name' => 'workshop', 'text' => 'the loft above the chandler'])->assertRedirect();
    }
}
