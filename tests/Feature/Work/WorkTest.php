<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Models\CommandRow;
use App\Models\CounterRow;
use App\Models\FactRow;
use App\Models\ListItem;
use App\Models\TextListRow;
use App\Publish\Editions;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\MemoryRows;
use App\Storage\Named;
use App\Wording\Sentences;
use App\Write\Findings;
use App\Write\KeptFindings;
use App\Write\Preview;
use Closure;
use Illuminate\Database\Eloquent\Factories\Sequence;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Finding;
use Tests\Demo;
use Tests\Feature\DatabaseWork;
use Tests\Feature\TestCase;

/**
 * Work of the pages that must not grow with a pack: counted in what is asked of the database and in texts that are
 * read.
 */
final class WorkTest extends TestCase
{
    public function test_a_preview_brings_along_what_the_text_names_and_reads_the_text_once(): void
    {
        $this->thousandOfEach();
        $prepared = new ResponseCache;
        $named = app(Assembler::class)->names(
            $this->cove,
            Named::in(['x' => 'The [list.knots] by [fact.tide], [list.d3 2] or [counter.d9]'], $prepared),
        );
        self::assertSame(['knots', 'omens', 'd3'], $this->nonEmpty($named), 'what is a response may be led to');
        self::assertSame('', $named->facts['d7']->text);
        self::assertNotSame('', $named->facts['tide']->text);
        self::assertCount(1_004, $named->lists, 'the names of all are there, for completing and for findings');
        $asked = $this->asked(
            fn () => (new Preview(app(Assembler::class), app(MemoryRows::class), $prepared, app(Sentences::class)))->of(
                $this->cove,
                Say::on('!a', 'The [list.knots] by [fact.tide], [list.d3 2] or [counter.d9]')->refusing(
                    ForLevels::refusal(),
                    'not you',
                ),
                0,
                '',
                '',
            ),
        );
        self::assertSame(
            2,
            $prepared->read,
            'the response and the reply, each once for findings, answers, edges, length and sentence',
        );
        self::assertSame(
            [],
            array_filter($asked, static fn (string $sql): bool => preg_match('/`?picture`?(?! <> )/', $sql) === 1),
            'no pixels',
        );
        $few = count($asked);
        DB::table('facts')->where('name', 'like', 'd%')->delete();
        DB::table('lists')->where('name', 'like', 'd%')->where('name', '!=', 'd3')->delete();
        self::assertCount(
            $few,
            $this->asked(
                fn () => app(Preview::class)->of(
                    $this->cove,
                    Say::on('!a', 'The [list.knots] by [fact.tide], [list.d3 2] or [counter.d9]'),
                    0,
                    '',
                    '',
                ),
            ),
        );
    }

    public function test_the_reference_asks_the_database_as_often_for_three_thousand_definitions_as_for_few(): void
    {
        $this->actingAs($this->wren);
        $ask = fn () => $this->getJson(route('write.reference', $this->cove))->assertOk();
        $few = DatabaseWork::of($ask);
        $this->thousandOfEach();
        $many = DatabaseWork::of($ask);
        self::assertSame(count($few->statements), count($many->statements));
        self::assertSame($few->models, $many->models, 'definitions are read as plain rows');
        // Facts, lists, counters and their items: each once, and what is remembered of a counter or a list.
        self::assertLessThanOrEqual($few->rows + 6_000, $many->rows);
        $ask()
            ->assertJsonFragment(['insert' => 'fact.d7', 'now' => 'the text of 7'])
            ->assertJsonFragment(['insert' => 'counter.d9', 'now' => '9'])
            ->assertDontSee('data:image', false);
    }

    public function test_what_checks_found_is_kept_until_the_command_or_something_that_it_names_changes(): void
    {
        $look = function (): int {
            $prepared = new ResponseCache;
            (new Findings(app(Assembler::class), new KeptFindings(DB::connection(), $prepared)))->of($this->cove, null);

            return $prepared->read;
        };
        self::assertGreaterThan(20, $look());
        self::assertSame(0, $look(), 'all is known');
        $row = $this->command('!tide');
        $rows = app(CommandRepository::class);
        $rows->save(
            $this->cove,
            $row,
            CommandRepository::toCore($row)->answering([Say::response('[fact.tide] and [caler]')]),
            $this->wren,
            $row->revision,
        );
        $ofOne = $look();
        self::assertLessThan(5, $ofOne, 'the texts of one command');
        self::assertGreaterThan(0, $ofOne);
        DB::table('facts')
            ->where('channel_id', $this->cove->id)
            ->where('name', 'tide')
            ->update(['text' => 'Low water']);
        self::assertSame($ofOne, $look(), 'those that name it');
        FactRow::factory()->for($this->cove)->create(['name' => 'new']);
        self::assertGreaterThan(20, $look(), 'another name may be the nearest to any that is mistyped');
        self::assertSame(0, $look());
        $this->travel(1)->days();
        self::assertGreaterThan(20, $look(), 'a day that was to come may have passed');
    }

    /** Held against looking at the whole pack at once. */
    public function test_what_is_kept_is_what_looking_anew_finds(): void
    {
        $told = static fn (array $findings): array => array_map(
            static fn (Finding $finding): string => json_encode(
                [$finding->kind->code(), $finding->at, $finding->span, $finding->data, $finding->replacement],
                JSON_THROW_ON_ERROR,
            ),
            $findings,
        );
        $this->bad('!bad', 'Hi [caler], [words] [fact.nothing] [list.knots] [counter.planks] [channel.uptime] coveWav');
        $this->bad('!averyveryverylongword', 'again');
        FactRow::factory()->for($this->cove)->create(['name' => 'spare']);
        foreach ([1, 2] as $time) {
            $kept = [];
            $numbers = $this->cove->commands()->orderBy('id')->pluck('id')->all();
            foreach (app(Findings::class)->of($this->cove, null)->groups as $group) {
                $index = array_search($group['number'], $numbers, true);
                array_push(
                    $kept,
                    ...array_map(
                        static fn (Finding $finding): Finding => $index === false
                            ? $finding
                            : $finding->within("/commands/$index"),
                        $group['findings'],
                    ),
                );
            }
            $anew = Checks::of(app(Assembler::class)->pack($this->cove), Assembler::environment($this->cove));
            self::assertEqualsCanonicalizing(
                $told($anew),
                array_map(static fn (string $one): string => $one, $told($kept)),
                "time $time",
            );
            self::assertGreaterThan(4, count($kept));
        }
    }

    public function test_a_large_pack_is_looked_at_some_at_a_time_with_progress_and_publishing_waits_for_all(): void
    {
        $more = static fn (Sequence $at): array => ['trigger' => "!more{$at->index}"];
        $this->insert(CommandRow::factory()->for($this->cove)->sequence($more), 900);
        DB::statement(
            'INSERT INTO command_responses (channel_id, command_id, stable_id, position, steps, weight) SELECT '
                ."channel_id, id, '0', 0, CONCAT('[{\"say\":\"', `trigger`, ' [caler]\"}]'), 1 FROM commands WHERE "
                ."`trigger` LIKE '!more%'",
        );
        $this->actingAs($this->wren);
        $all = Demo::commands() + 900;
        $this->get(route('write.findings', $this->cove))->assertSee("400 of $all commands are looked at.");
        $this->get(route('publish', $this->cove))
            ->assertSee("800 of $all commands are looked at.")
            ->assertSee('disabled', false);
        $this->get(route('write.findings', $this->cove))
            ->assertDontSee('are looked at.')
            ->assertSee('more commands have findings');
        $this->post(route('publish.store', $this->cove), ['note' => ''])->assertSessionHasNoErrors();
        self::assertCount(
            Demo::commands(),
            app(Editions::class)->onAir($this->cove->refresh())->commands ?? [],
            'without the errors',
        );
        // Finding looks at what is on the list, and what is kept is not looked at again.
        $asked = $this->asked(fn () => $this->get(route('write', ['channel' => $this->cove, 'find' => 'more'])));
        self::assertSame(
            [],
            array_filter(
                $asked,
                static fn (string $sql): bool => str_starts_with($sql, 'insert into `command_findings`'),
            ),
        );
    }

    public function test_a_command_that_goes_while_the_publish_page_is_made_breaks_nothing(): void
    {
        $gone = $this->command('!crew')->id;
        $isDropped = false;
        DB::listen(static function (QueryExecuted $query) use ($gone, &$isDropped): void {
            if (! $isDropped && str_starts_with($query->sql, 'select * from `commands`')) {
                $isDropped = true;
                DB::table('commands')->where('id', $gone)->delete();
            }
        });
        $this->actingAs($this->wren)->get(route('publish', $this->cove))->assertOk();
        self::assertTrue($isDropped);
        self::assertNull(DB::table('commands')->find($gone));
        $this->get(route('publish', $this->cove))->assertOk()->assertDontSee('!crew');
    }

    private function bad(string $trigger, string $text): void
    {
        app(CommandRepository::class)->save(
            $this->cove,
            null,
            Say::on($trigger, $text)->alsoOn('!tidal'.strlen($trigger)),
            $this->wren,
            null,
        );
    }

    /** @return list<string> names of lists whose items are there */
    private function nonEmpty(Pack $pack): array
    {
        return array_values(
            array_map(
                static fn (TextList $list): string => $list->name,
                array_filter($pack->lists, static fn (TextList $list): bool => $list->items !== []),
            ),
        );
    }

    private function thousandOfEach(): void
    {
        $named = static fn (Sequence $at): array => ['name' => "d{$at->index}"];
        $told = static fn (Sequence $at): array => $named($at) + ['text' => "the text of {$at->index}"];
        $this->insert(FactRow::factory()->for($this->cove)->sequence($told), 1_000);
        $this->insert(CounterRow::factory()->for($this->cove)->sequence($named), 1_000);
        $this->insert(TextListRow::factory()->for($this->cove)->sequence($named), 1_000);
        $lists = $this->cove->lists()->where('name', 'like', 'd%')->pluck('id');
        $of = static fn (Sequence $at): array => ['list_id' => $lists[$at->index]];
        $this->insert(ListItem::factory()->for($this->cove)->sequence($of), 1_000);
    }

    /**
     * @param  Closure(): mixed  $work
     * @return list<string> the statements
     */
    private function asked(Closure $work): array
    {
        return DatabaseWork::of($work)->statements;
    }
}
