<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Air\ChatRoster;
use App\Air\Earnings;
use App\Air\Tallies;
use App\Air\WhoIsHere;
use App\Remember\MemoryEditor;
use App\Remember\Viewers\Erasing;
use App\Storage\MariaDbStore;
use Closure;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Hearing\RankReached;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
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
        $give = fn (string $at) => $this->earn($on, $at);
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
            Tallies::keep($on->air, $this->store());
            $give = fn (string $at) => $this->earn($on, $at);
            $give('2026-11-25T20:00:30Z');
            $work = DatabaseWork::of(static fn () => $give('2026-11-25T20:01:00Z'));
            $statements[] = count($work->statements);
            DB::table('heard_events')->where('event_key', 'like', 'earn %')->delete();
            $on->air->present->given = [];
        }
        self::assertSame($statements[0], $statements[1], 'however many are here');
    }

    public function test_whoever_comes_to_another_rank_by_being_here_is_told_and_of_a_crowd_a_few(): void
    {
        $earn = ['unit' => 'pebbles', 'earned_by' => 'being_here', 'amount' => '50', 'minutes' => '1'];
        $this->post(route('remember.points.earn', $this->cove), $earn + ['offline_too' => '1']);
        $this->put(route('remember.ranks.update', [$this->cove, 'pebbles']), [
            'ranks' => '50 Old salt',
            'by_ever_earned' => '1',
            'rises' => '[caller] is [outcome.after].',
        ])->assertSessionHasNoErrors();
        $on = $this->onAir();
        foreach (['odo', 'bram', 'tamsin', 'pia'] as $login) {
            $on->hear($login, 'ahoy');
        }
        $said = [];
        foreach (['20:04:00', '20:05:00', '20:06:00'] as $at) {
            $say = static function (RankReached $event) use ($on, &$said): void {
                array_push($said, ...array_column($on->air->happens($event) ?? [], 'text'));
            };
            $this->earn($on, "2026-11-25T{$at}Z", $say);
        }
        self::assertSame(['Pia is Old salt.', 'Tamsin is Old salt.', 'Bram is Old salt.'], $said);
        self::assertSame(3, DB::table('outgoing')->where('channel_id', $this->cove->id)->count());
    }

    public function test_a_happening_gives_its_points_once_however_often_it_is_told(): void
    {
        $this->cove->earnings()->create([
            'stable_id' => 'raids',
            'unit' => 'pebbles',
            'earned_by' => 'happening',
            'happening' => 'raid',
            'amount' => 25,
            'levels' => [],
            'while_live' => false,
        ]);
        $this->get(route('remember.points', $this->cove))->assertSee('Everyone earns 25 pebbles for each raid');
        $on = $this->onAir();
        $on->hear('odo', 'ahoy');
        $odo = $on->air->seen['account:odo']->by;
        $before = $this->has($on, 'odo');
        foreach ([['raid', 'r1'], ['raid', 'r1'], ['follow', 'f1'], ['raid', 'r2']] as [$kind, $key]) {
            $say = static fn (): null => null;
            Earnings::happened($on->air, $this->store(), $kind, $key, $odo, self::at('2026-11-25T20:00:00Z'), $say);
        }
        self::assertSame($before + 50, $this->has($on, 'odo'));
        $this->earn($on, '2026-11-25T21:00:00Z');
        self::assertSame($before + 50, $this->has($on, 'odo'), 'and never by the clock');
    }

    public function test_here_is_the_chats_own_list_where_it_gives_one(): void
    {
        $this->post(route('remember.points.earn', $this->cove), [
            'unit' => 'pebbles',
            'earned_by' => 'being_here',
            'amount' => '5',
            'minutes' => '1',
            'offline_too' => '1',
        ]);
        $on = $this->onAir();
        foreach (['odo', 'bram', 'pia'] as $login) {
            $on->hear($login, 'ahoy');
        }
        Tallies::keep($on->air, $this->store());
        $roster = new ChatRoster;
        foreach (
            [
                ':parrot!p@cove JOIN #cove',
                ':cove 353 parrot = #cove :@parrot odo Bram quill',
                ':cove 366 parrot #cove :End',
                ':bram!b@cove PART #cove',
                ':pia!p@cove JOIN #cove',
                ':odo!o@cove NICK odo_away',
            ] as $line
        ) {
            self::assertNull($line === ':cove 366 parrot #cove :End' ? $roster->listed() : null, 'not before its end');
            $roster->take(IrcLine::parse($line) ?? self::fail($line), '#cove', 'parrot');
        }
        self::assertSame(['parrot', 'quill', 'pia', 'odo_away'], $roster->listed());
        $this->get(route('remember.points', $this->cove))->assertSee('the chat gives no list of people');
        $before = [$this->has($on, 'pia'), $this->has($on, 'bram')];
        $here = new WhoIsHere(DB::connection());
        $give = fn (string $at) => Earnings::give(
            $on->air,
            $this->store(),
            self::at($at),
            fn (): array => $here->listed($on->air, $roster->listed() ?? [], self::at($at)),
            static fn (): null => null,
        );
        $give('2026-11-25T20:01:00Z');
        $give('2026-11-25T20:02:00Z');
        self::assertSame([$before[0] + 5, $before[1]], [$this->has($on, 'pia'), $this->has($on, 'bram')]);
        $this->travelTo('2026-11-25 20:02:30');
        $this->get(route('remember.points', $this->cove))
            ->assertSee('the chat’s own list of people')
            ->assertSee('to the one who is here');
    }

    public function test_handing_out_ranks_and_rules_are_made_and_wrong_ones_answered(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        Tallies::keep($on->air, $this->store());
        $before = $this->has($on, 'odo');
        $this->post(route('remember.points.hand', [$this->cove, 'pebbles']), ['amount' => '7']);
        self::assertSame('7 pebbles for one who is here.', session('notice'));
        self::assertSame($before + 7, $this->has($on, 'odo'));
        foreach (['0', '-3', 'many', ''] as $wrong) {
            $this->post(route('remember.points.hand', [$this->cove, 'pebbles']), ['amount' => $wrong])
                ->assertSessionHasErrors('amount');
        }
        $this->put(route('remember.ranks.update', [$this->cove, 'pebbles']), ['ranks' => "0 Deckhand\n40\n"])
            ->assertSessionHasErrors('ranks');
        $this->put(route('remember.ranks.update', [$this->cove, 'pebbles']), [
            'ranks' => "0 Deckhand\n40 Old salt",
            'by_ever_earned' => '1',
        ]);
        $ladder = $this->cove->ladders()->where('name_folded', 'pebbles')->firstOrFail();
        self::assertEquals([[0 => 'Deckhand', 40 => 'Old salt'], true], [$ladder->ranks, $ladder->by_ever_earned]);
        $this->get(route('remember.ranks', $this->cove))->assertSee('Old salt');
    }

    public function test_ranks_tell_who_holds_them_and_what_they_say_is_looked_at(): void
    {
        $on = OnAir::of($this->cove);
        // Tamsin alone has none kept: all begin with ten.
        $on->hear('tamsin', 'ahoy');
        foreach (['odo' => 55, 'bram' => 40, 'pia' => 5, $this->cove->login => 900] as $login => $has) {
            $on->hear($login, 'ahoy');
            $person = $on->air->seen["account:$login"]->by;
            $key = Key::field('pebbles', $person->id);
            app(MemoryEditor::class)->change($this->cove, $this->wren, Reads::of($key), static fn (): array => [
                new Change($key, null, $has, 'viewer.pebbles', $login),
            ]);
        }
        Tallies::keep($on->air, $this->store());
        $save = fn (array $typed) => $this->put(route('remember.ranks.update', [$this->cove, 'pebbles']), $typed);
        $save(['ranks' => "10 Mate\n50 Bosun", 'rises' => '[add 1 to counter.planks]'])->assertSessionHasErrors([
            'rises' => 'It would change counter.planks, and must change nothing.',
        ]);
        $save(['ranks' => "10 Mate\n50 Bosun", 'falls' => '[caler]'])->assertSessionHasErrors('falls');
        $save(['ranks' => "10 Mate\n50 Bosun", 'rises' => '[caller] rose'])->assertSessionHasNoErrors();
        $page = $this->get(route('remember.ranks', $this->cove))->assertSee('[caller] rose');
        $page->assertSeeInOrder(['Bosun', 'from 50; one viewer', 'Mate', 'from 10; 2 viewers']);
    }

    public function test_goods_tell_how_many_were_sold_and_who_owns_them(): void
    {
        $this->post(route('remember.named.store', [$this->cove, 'goods']), [
            'name' => 'bell',
            'price' => '3',
            'stock' => '10',
            'buy_back' => '1',
        ])->assertRedirect(route('remember.goods', $this->cove));
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        Tallies::keep($on->air, $this->store());
        $odo = $this->cove->viewers()->where('login', 'odo')->where('service', '!=', '')->firstOrFail();
        $this->put(route('remember.person.field', [$this->cove, $odo]), ['field' => 'pebbles', 'value' => '20']);
        $act = ['do' => 'buy', 'what' => 'goods bell', 'amount' => '4'];
        $this->post(route('remember.person.act', [$this->cove, $odo]), $act)->assertSessionHasNoErrors();
        $this->get(route('remember.goods', $this->cove))
            ->assertSee('4 owned by one viewer. 4 sold, 6 left.')
            ->assertSee('Odo</a>, 4', false);
        $this->get(route('remember', [$this->cove, 'find' => 'goods.bell']))->assertSee('3 each');
    }

    public function test_a_viewer_is_found_by_a_name_of_before_and_put_right(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        Tallies::keep($on->air, $this->store());
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
        Tallies::keep($on->air, $this->store());
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
        Tallies::keep($on->air, $this->store());
        self::assertSame(1, app(Erasing::class)->again($this->cove));
        self::assertSame(0, app(Erasing::class)->again($this->cove));
    }

    public function test_what_viewers_do_from_the_chat_is_done_here_by_the_same_rules(): void
    {
        $on = OnAir::of($this->cove);
        $on->hear('odo', 'ahoy');
        $on->hear('bram', 'ahoy');
        Tallies::keep($on->air, $this->store());
        $odo = $this->cove->viewers()->where('login', 'odo')->where('service', '!=', '')->firstOrFail()->id;
        $this->cove->goods()->where('name', 'lantern')->update(['price' => 4, 'stock' => 2, 'buy_back' => 3]);
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

    private function earn(OnAir $on, string $at, ?Closure $say = null): void
    {
        $here = new WhoIsHere(DB::connection());
        Earnings::give(
            $on->air,
            $this->store(),
            self::at($at),
            fn (): array => $here->of($on->air, self::at($at)),
            $say ?? static fn (): null => null,
        );
    }

    private static function at(string $iso): Moment
    {
        return Moment::fromIso($iso) ?? new Moment(0);
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
