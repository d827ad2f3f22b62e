<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Storage\Assembler;
use App\Storage\MemoryRows;
use App\Storage\Named;
use App\Write\Preview;
use Closure;
use Illuminate\Support\Facades\DB;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Prepared;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use Tests\Feature\TestCase;

/** Work of the pages that must not grow with a pack: counted in what is asked of the database and in texts that are read. */
final class WorkTest extends TestCase
{
    public function test_a_preview_brings_along_what_the_text_names_and_reads_the_text_once(): void
    {
        $this->thousandOfEach();
        $prepared = new Prepared;
        $named = app(Assembler::class)->names($this->cove, Named::in(['x' => 'The [list.knots] by [fact.tide], [list.d3 2] or [counter.d9]'], $prepared));
        self::assertSame(['knots', 'd3'], $this->nonEmpty($named));
        self::assertSame('', $named->facts['d7']->text);
        self::assertNotSame('', $named->facts['tide']->text);
        self::assertCount(1_002, $named->lists, 'the names of all are there, for completing and for findings');
        $asked = $this->asked(fn () => (new Preview(app(Assembler::class), app(MemoryRows::class), $prepared))->of($this->cove, Command::saying('!a', 'The [list.knots] by [fact.tide], [list.d3 2] or [counter.d9]')->refusing(ForLevels::refusal(), 'not you'), 0, '', ''));
        self::assertSame(2, $prepared->read, 'the response and the reply, each once for findings, answers, edges, length and sentence');
        self::assertSame([], array_filter($asked, static fn (string $sql): bool => preg_match('/`?picture`?(?! <> )/', $sql) === 1), 'no pixels');
        $few = count($asked);
        DB::table('facts')->where('name', 'like', 'd%')->delete();
        DB::table('lists')->where('name', 'like', 'd%')->where('name', '!=', 'd3')->delete();
        self::assertCount($few, $this->asked(fn () => app(Preview::class)->of($this->cove, Command::saying('!a', 'The [list.knots] by [fact.tide], [list.d3 2] or [counter.d9]'), 0, '', '')));
    }

    public function test_the_reference_asks_the_database_as_often_for_three_thousand_definitions_as_for_few(): void
    {
        $this->actingAs($this->wren);
        $ask = fn () => $this->getJson(route('write.reference', $this->cove))->assertOk();
        $few = count($this->asked($ask));
        $this->thousandOfEach();
        self::assertCount($few, $this->asked($ask));
        $ask()->assertJsonFragment(['insert' => 'fact.d7', 'now' => 'the text of 7'])->assertJsonFragment(['insert' => 'counter.d9', 'now' => '9'])->assertDontSee('data:image', false);
    }

    /** @return list<string> names of lists whose items are there */
    private function nonEmpty(Pack $pack): array
    {
        return array_values(array_map(static fn (TextList $list): string => $list->name, array_filter($pack->lists, static fn (TextList $list): bool => $list->items !== [])));
    }

    private function thousandOfEach(): void
    {
        $row = fn (int $i): array => ['channel_id' => $this->cove->id, 'stable_id' => "d$i", 'name' => "d$i", 'name_folded' => "d$i"];
        DB::table('facts')->insert(array_map(static fn (int $i): array => $row($i) + ['text' => "the text of $i"], range(1, 1_000)));
        DB::table('counters')->insert(array_map(static fn (int $i): array => $row($i) + ['scope' => 'channel', 'start' => $i, 'reset' => 'never'], range(1, 1_000)));
        DB::table('lists')->insert(array_map(static fn (int $i): array => $row($i) + ['draw_order' => 'free'], range(1, 1_000)));
        $lists = DB::table('lists')->where('channel_id', $this->cove->id)->where('name', 'like', 'd%')->pluck('id')->all();
        DB::table('list_items')->insert(array_map(fn (mixed $list): array => ['channel_id' => $this->cove->id, 'stable_id' => 'i1', 'list_id' => $list, 'position' => 0, 'text' => 'an item', 'weight' => 1], $lists));
    }

    /**
     * @param  Closure(): mixed  $work
     * @return list<string> the statements
     */
    private function asked(Closure $work): array
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $work();
        DB::disableQueryLog();

        return array_values(array_map(static fn (array $one): string => (string) $one['query'], DB::getQueryLog()));
    }
}
