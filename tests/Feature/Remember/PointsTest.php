<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Air\Earnings;
use App\Remember\Viewers\Erasing;
use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Store;
use SilverParrot\Value\Moment;
use Tests\Feature\Air\OnAir;
use Tests\Feature\DatabaseWork;
use Tests\Feature\TestCase;

final class PointsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_being_here_is_earned_once_a_stretch_by_all_but_the_streamer_and_talkers(): void
    {
        $this->post(route('remember.points.earn', $this->cove), [
            'unit' => 'pebbles',
            'earned_by' => 'being_here',
            'amount' => '5',
            'minutes' => '10',
            'level' => 'everyone',
            'offline_too' => '1',
        ])->assertSessionHasNoErrors();
        $this->get(route('remember.points', $this->cove))->assertSee('Everyone earns 5 pebbles for being here');
        $on = $this->onAir();
        foreach (['odo', 'bram', $this->cove->login, $this->cove->parrot] as $login) {
            $on->hear($login, 'ahoy', ...$login === $this->cove->login ? [Level::Streamer] : []);
        }
        $before = [$this->has($on, 'odo'), $this->has($on, 'bram')];
        $give = fn (string $at) => Earnings::give($on->air, $this->store(), Moment::fromIso($at) ?? new Moment(0));
        $give('2026-11-25T20:01:00Z');
        $give('2026-11-25T20:09:00Z');
        self::assertSame($before, [$this->has($on, 'odo'), $this->has($on, 'bram')], 'the stretch has not ended');
        $work = DatabaseWork::of(static fn () => $give('2026-11-25T20:10:00Z'));
        $give('2026-11-25T20:11:00Z');
        $after = [$this->has($on, 'odo'), $this->has($on, 'bram')];
        self::assertSame([$before[0] + 5, $before[1] + 5], $after);
        self::assertFalse(
            DB::table('balances')->where('kind', 'ever')->where('amount', '>', 5)->exists(),
            'the streamer and the parrot earn nothing',
        );
        self::assertSame(2, DB::table('balances')->where('kind', 'ever')->count());
        $give('2026-11-25T20:20:00Z');
        self::assertSame($after, [$this->has($on, 'odo'), $this->has($on, 'bram')], 'nobody wrote for ten minutes');
        self::assertLessThanOrEqual(14, count($work->statements));
        $rows = DB::table('ledger')->where('channel_id', $this->cove->id)->whereNotNull('presence')->get();
        self::assertCount(2, $rows, 'one row a viewer and stream');
        self::assertSame(0, DB::table('memory_history')->where('kind', 'field')->count());
    }

    public function test_presence_for_three_thousand_is_one_statement_a_table(): void
    {
        $this->post(route('remember.points.earn', $this->cove), [
            'unit' => 'pebbles',
            'earned_by' => 'being_here',
            'amount' => '1',
            'minutes' => '1',
            'offline_too' => '1',
        ]);
        $statements = [];
        $on = $this->onAir();
        foreach ([3, 3_000] as $count) {
            for ($person = 0; $person < $count; $person++) {
                $on->hear("crowd{$count}x$person", 'ahoy');
            }
            \App\Air\Tallies::keep($on->air, $this->store());
            $give = fn (string $at) => Earnings::give($on->air, $this->store(), Moment::fromIso($at) ?? new Moment(0));
            $give('2026-11-25T20:00:30Z');
            $work = DatabaseWork::of(static fn () => $give('2026-11-25T20:01:00Z'));
            $statements[] = count($work->statements);
            DB::table('heard_events')->where('event_key', 'like', 'earn %')->delete();
            $on->air->present->given = [];
        }
        self::assertSame($statements[0], $statements[1], 'however many are here');
    }

    public function test_handing_out_ranks_and_rules_are_made_and_wrong_ones_answered(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        \App\Air\Tallies::keep($on->air, $this->store());
        $before = $this->has($on, 'odo');
        $this->post(route('remember.points.hand', [$this->cove, 'pebbles']), ['amount' => '7']);
        self::assertSame('7 pebbles for one who is here.', session('notice'));
        self::assertSame($before + 7, $this->has($on, 'odo'));
        foreach (['0', '-3', 'many', ''] as $wrong) {
            $this->post(route('remember.points.hand', [$this->cove, 'pebbles']), ['amount' => $wrong])
                ->assertSessionHasErrors('amount');
        }
        $this->put(route('remember.points.ranks', [$this->cove, 'pebbles']), ['ranks' => "0 Deckhand\n40\n"])
            ->assertSessionHasErrors('ranks');
        $this->put(route('remember.points.ranks', [$this->cove, 'pebbles']), [
            'ranks' => "0 Deckhand\n40 Old salt",
            'by_ever_earned' => '1',
        ]);
        $ladder = $this->cove->ladders()->where('name_folded', 'pebbles')->firstOrFail();
        self::assertEquals([[0 => 'Deckhand', 40 => 'Old salt'], true], [$ladder->ranks, $ladder->by_ever_earned]);
        $this->get(route('remember.points', $this->cove))->assertSee('Old salt');
    }

    public function test_a_viewer_is_found_by_a_name_of_before_and_put_right(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        \App\Air\Tallies::keep($on->air, $this->store());
        $odo = $this->cove->viewers()->where('login', 'odo')->where('service', '!=', '')->firstOrFail();
        DB::table('viewer_names')->insert([
            'channel_id' => $this->cove->id,
            'name' => 'gull_watcher',
            'viewer_id' => $odo->id,
        ]);
        foreach (['@Gull', 'od'] as $find) {
            $this->get(route('remember.viewers', [$this->cove, 'find' => $find]))->assertSee('Odo');
        }
        $this->get(route('remember.viewers', [$this->cove, 'by' => 'unit pebbles']))->assertOk();
        $page = route('remember.person', [$this->cove, $odo->id]);
        $this->get($page)->assertSee('ahoy')->assertSee('pebbles');
        $put = fn (string $field, string $value) => $this->put(
            route('remember.person.field', [$this->cove, $odo->id]),
            ['field' => $field, 'value' => $value],
        );
        $put('pebbles', '12')->assertSessionHasNoErrors();
        $this->get($page)->assertSee('12 then');
        $put('pebbles', '-1')->assertSessionHasErrorsIn('field pebbles', 'value');
        $all = $this->get(route('remember.person.export', [$this->cove, $odo->id]))->json();
        self::assertIsArray($all);
        self::assertSame('silver-parrot-person', $all['format'] ?? null);
    }

    public function test_two_are_merged_and_whoever_wishes_is_forgotten_for_good(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        $on->hear('bram', 'Odo has my adze, I tell you');
        $on->hear('bram', 'the odometer is broken');
        $on->hear('tamsin', 'fair winds');
        \App\Air\Tallies::keep($on->air, $this->store());
        $id = fn (string $login): int => $this->cove
            ->viewers()
            ->where('login', $login)
            ->where('service', '!=', '')
            ->firstOrFail()->id;
        [$odo, $tamsin] = [$id('odo'), $id('tamsin')];
        foreach ([$odo => 5, $tamsin => 9] as $viewer => $amount) {
            $this->put(
                route('remember.person.field', [$this->cove, $viewer]),
                ['field' => 'pebbles', 'value' => "$amount"],
            );
        }
        $merge = route('remember.person.merge', [$this->cove, $tamsin]);
        $this->post($merge, ['into' => 'nobody'])->assertSessionHasErrors('into');
        $this->post($merge, ['into' => '@Odo']);
        self::assertTrue($this->cove->viewers()->whereKey($tamsin)->exists(), 'nothing before it is confirmed');
        $this->post($merge, ['into' => 'odo', 'confirmed' => '1']);
        self::assertFalse($this->cove->viewers()->whereKey($tamsin)->exists());
        $balances = DB::table('balances')->where('viewer_id', $odo)->where('kind', 'field');
        $sum = static fn (): int => (int) (clone $balances)->sum('amount');
        self::assertSame(14, $sum());
        self::assertSame(14, (int) DB::table('ledger')->where('viewer_id', $odo)->sum('delta'), 'the ledger adds up');
        $this->delete(route('remember.person.erase', [$this->cove, $odo]));
        self::assertTrue($this->cove->viewers()->where('login', 'odo')->whereKey($odo)->exists());
        self::assertContains('heard_lines.findable', $this->columnsWith('odo'));
        $this->delete(route('remember.person.erase', [$this->cove, $odo]), ['confirmed' => '1']);
        $left = $this->cove->viewers()->whereKey($odo)->firstOrFail();
        self::assertSame(Erasing::NOBODY, $left->name);
        self::assertSame(14, $sum(), 'amounts stay');
        $lines = DB::table('heard_lines')->where('channel_id', $this->cove->id)->where('kind', 'heard');
        $texts = $lines->pluck('text')->all();
        self::assertNotContains('ahoy', $texts);
        self::assertNotContains('Odo has my adze, I tell you', $texts);
        self::assertContains('the odometer is broken', $texts, 'a name is a word, not a part of one');
        self::assertSame([], $this->columnsWith('odo'), 'what is searched, too');
        $this->get(route('remember.viewers', [$this->cove, 'find' => 'odo']))->assertDontSee('>Odo<', false);
        DB::table('channels')->where('id', $this->cove->id)->update(['tally' => 0]);
        // A backup brings them back under their id: they are forgotten again.
        $on = OnAir::of($this->cove->refresh());
        $on->hear('odo', 'ahoy again');
        \App\Air\Tallies::keep($on->air, $this->store());
        self::assertSame(1, app(Erasing::class)->again($this->cove));
        self::assertSame(0, app(Erasing::class)->again($this->cove));
    }

    public function test_what_viewers_do_from_the_chat_is_done_here_by_the_same_rules(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        $on->hear('bram', 'ahoy');
        \App\Air\Tallies::keep($on->air, $this->store());
        $odo = $this->cove->viewers()->where('login', 'odo')->where('service', '!=', '')->firstOrFail()->id;
        $this->cove->goods()->create([
            'stable_id' => 'lantern',
            'name' => 'lantern',
            'name_folded' => 'lantern',
            'price' => 4,
            'stock' => 2,
            'buy_back' => 3,
        ]);
        $this->put(route('remember.person.field', [$this->cove, $odo]), ['field' => 'pebbles', 'value' => '10']);
        $act = fn (string $do, string $what = '', string $amount = '', string $to = '') => $this->post(
            route('remember.person.act', [$this->cove, $odo]),
            ['do' => $do, 'what' => $what, 'amount' => $amount, 'to' => $to],
        );
        $act('give', 'field pebbles', '3', '@Bram')->assertSessionHasNoErrors();
        self::assertSame(7, $this->has($on, 'odo'));
        foreach ([['99', 'bram'], ['3', 'odo'], ['3', 'nobody'], ['x', 'bram']] as [$amount, $to]) {
            $act('give', 'field pebbles', $amount, $to)->assertSessionHasErrors('act');
        }
        $act('buy', 'goods lantern', '1')->assertSessionHasNoErrors();
        $act('buy', 'goods lantern', '2')->assertSessionHasErrors('act');
        $act('hand', 'goods lantern', '1', 'bram')->assertSessionHasNoErrors();
        $act('sell', 'goods lantern', '1')->assertSessionHasErrors('act');
        $act('check');
        self::assertSame('Checked in, for one day.', session('notice'));
        $act('check');
        self::assertSame('They have checked in today already.', session('notice'));
        $this->get(route('remember.person', [$this->cove, $odo]))->assertSee('1 in a row')->assertSee('Buy');
    }

    private function onAir(): OnAir
    {
        $on = OnAir::of($this->cove);
        $on->air->pack = app(\App\Storage\Assembler::class)->pack($this->cove->refresh());

        return $on;
    }

    private function store(): Store
    {
        return new MariaDbStore(DB::connection(), $this->cove->id);
    }

    private function has(OnAir $on, string $login): int
    {
        $id = $on->air->seen[$login]->by->id ?? null;
        foreach ($on->air->present->since(0) as $person) {
            $id = $person->login === $login ? $person->id : $id;
        }
        $kept = $this->remembered(Key::field('pebbles', (string) $id));

        $start = $this->cove->fields()->where('name', 'pebbles')->value('start');

        return is_int($kept) ? $kept : (int) (is_string($start) ? $start : 0);
    }

    /** @return list<string> the columns in which a word stands, of all that is kept; the made-up cast is nobody */
    private function columnsWith(string $word): array
    {
        $columns = DB::select(
            'SELECT table_name AS of, column_name AS name FROM information_schema.columns WHERE table_schema = '
                ."DATABASE() AND data_type LIKE '%text' OR table_schema = DATABASE() AND data_type = 'varchar'",
        );
        $found = [];
        foreach ($columns as $column) {
            /** @var object{of: string, name: string} $column */
            $isIn = $column->of !== 'cast_members'
                && DB::table($column->of)->whereRaw("`{$column->name}` REGEXP ?", ["(?i)\\b$word\\b"])->exists();
            $found = $isIn ? [...$found, "{$column->of}.{$column->name}"] : $found;
        }

        return $found;
    }
}
