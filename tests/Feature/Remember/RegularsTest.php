<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Air\TimeHere;
use App\Remember\Viewers\Erasing;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** A level of the channel's own giving: by hand, or for so many lines or days; what commands ask for on the air. */
final class RegularsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_whoever_is_made_one_by_hand_is_let_in_on_the_air_until_it_is_over_or_taken_away(): void
    {
        $on = $this->onAir();
        $this->see($on, 'odo');
        self::assertSame([], $this->said($on, 'odo'));
        $this->post(route('remember.regulars.store', $this->cove), ['login' => '@Odo', 'until' => '2026-11-27T12:00'])
            ->assertSessionHas('notice', 'Odo is a regular now.');
        $on->air->regulars->read();
        self::assertSame(['For regulars.'], $this->said($on, 'odo'));
        self::assertSame([], $this->said($on, 'pia'), 'nobody else');
        $this->get(route('remember.regulars', $this->cove))
            ->assertSeeInOrder(['Odo', 'since 25 Nov 2026, by hand, until 27 Nov 2026', 'seen on one day']);
        // In two days it is over by itself.
        $this->travelTo('2026-11-28 20:00:00');
        self::assertSame([], $this->said($on, 'odo'));
        $this->post(route('remember.regulars.store', $this->cove), ['login' => 'odo']);
        $on->air->regulars->read();
        self::assertSame(['For regulars.'], $this->said($on, 'odo'));
        $viewer = DB::table('viewers')->where('channel_id', $this->cove->id)->where('login', 'odo')->value('id');
        $this->delete(route('remember.regulars.destroy', [$this->cove, $viewer]));
        $on->air->regulars->read();
        self::assertSame([], $this->said($on, 'odo'));
        $this->get(route('remember', $this->cove))->assertSee('regular (Odo) by hand → never');
    }

    public function test_what_is_typed_wrong_is_told_beside_it(): void
    {
        $this->see($this->onAir(), 'odo');
        $this->post(route('remember.regulars.store', $this->cove), ['login' => 'nobody_here'])
            ->assertSessionHasErrors(['login' => '“nobody_here” was never seen in this chat.']);
        $this->post(route('remember.regulars.store', $this->cove), ['login' => 'odo', 'until' => '2020-01-01T00:00'])
            ->assertSessionHasErrors(['until' => 'That is past.']);
        // By the channel's clock: half past three there is half past eight here, and it is eight.
        $this->cove->update(['zone' => 'America/New_York']);
        $this->post(route('remember.regulars.store', $this->cove), ['login' => 'odo', 'until' => '2026-11-25T15:30'])
            ->assertSessionHasNoErrors();
        DB::table('regulars')->delete();
        $this->post(route('remember.regulars.store', $this->cove), ['login' => 'odo', 'until' => 'tomorrow'])
            ->assertSessionHasErrors(['until' => 'That is no date.']);
        $this->put(route('remember.regulars.rule', $this->cove), ['lines' => '-1', 'seen' => '0'])
            ->assertSessionHasErrors('lines');
        self::assertSame(0, DB::table('regulars')->count());
        $this->delete(route('remember.regulars.destroy', [$this->cove, 999_999]))->assertNotFound();
    }

    public function test_lines_and_days_make_one_and_what_was_taken_away_does_not_come_back(): void
    {
        $this->put(route('remember.regulars.rule', $this->cove), ['lines' => '5', 'days' => '3', 'seen' => '0'])
            ->assertSessionHasNoErrors();
        self::assertSame(
            [5, 3],
            [app(Assembler::class)->pack($this->cove->refresh())->regulars->lines, $this->cove->regulars['days'] ?? 0],
        );
        $on = $this->onAir();
        $earn = fn () => $on->air->regulars->earn(
            $on->air,
            new MariaDbStore(DB::connection(), $this->cove->id),
            Moment::of(now()),
        );
        // Four lines are not five.
        $this->see($on, 'quick', 4);
        $earn();
        self::assertSame([], $this->said($on, 'quick'));
        $this->see($on, 'quick', 1);
        $earn();
        self::assertSame(['For regulars.'], $this->said($on, 'quick'));
        self::assertSame('lines', $this->why('quick'));
        // One line a day, on three days.
        foreach (['26', '27', '28'] as $day) {
            $this->see($on, 'slow', 1);
            $earn();
            self::assertNull($day === '28' ? null : $this->why('slow'));
            $this->travelTo("2026-11-$day 20:00:00");
        }
        self::assertSame('days', $this->why('slow'));
        $viewer = DB::table('viewers')->where('login', 'slow')->value('id');
        $this->delete(route('remember.regulars.destroy', [$this->cove, $viewer]));
        $this->see($on, 'slow', 9);
        $on->air->regulars->read();
        $earn();
        self::assertSame([], $this->said($on, 'slow'), 'taken away is taken away');
        self::assertTrue(app(Erasing::class)->of($this->cove, is_int($viewer) ? $viewer : 0));
        self::assertNull($this->why('slow'));
    }

    public function test_time_at_streams_makes_one_too_also_of_whoever_is_only_on_the_list(): void
    {
        $this->put(route('remember.regulars.rule', $this->cove), ['hours' => '2', 'seen' => '0'])
            ->assertSessionHasNoErrors();
        self::assertSame(2, app(Assembler::class)->pack($this->cove->refresh())->regulars->hours);
        $on = $this->onAir();
        $this->see($on, 'quiet', 1);
        $time = new TimeHere(DB::connection());
        $pass = function (int $minutes) use ($time, $on): void {
            for ($minute = 0; $minute < $minutes; $minute++) {
                $this->travel(1)->minutes();
                DB::table('viewers')->where('login', 'quiet')->update(['last_seen' => now()]);
                // Twice a minute, which is still a minute.
                $time->count($on->air, Moment::of(now()));
                $time->count($on->air, Moment::of(now()));
            }
        };
        $minutes = static fn (): int => (int) DB::table('viewers')->where('login', 'quiet')->value('minutes_here');
        $on->air->keptDetails = ['live' => false];
        $pass(5);
        self::assertSame(0, $minutes(), 'while offline no time counts');
        $on->air->keptDetails = ['live' => true];
        $pass(120);
        self::assertSame(119, $minutes(), 'the minute in which a talker takes over may be another’s');
        $earn = fn () => $on->air->regulars->earn(
            $on->air,
            new MariaDbStore(DB::connection(), $this->cove->id),
            Moment::of(now()),
        );
        $earn();
        self::assertNull($this->why('quiet'));
        $pass(1);
        $earn();
        self::assertSame('hours', $this->why('quiet'));
        // A talker that has lost the channel counts for nobody.
        DB::table('channels')->where('id', $this->cove->id)->update(['lease_epoch' => 9]);
        $pass(2);
        self::assertSame(120, $minutes());
        $this->get(route('remember.regulars', $this->cove))->assertSee('by hours')->assertSee('here for 2 hours');
    }

    private function onAir(): OnAir
    {
        $on = OnAir::of($this->cove);
        $on->air->pack = $this->pack();

        return $on;
    }

    private function pack(): Pack
    {
        return app(Assembler::class)->pack($this->cove->refresh())->withCommand(
            Say::on('!stove', 'For regulars.')->gated(ForLevels::atLeast(Level::Regular), Cooldown::none()),
        );
    }

    /** So many lines, tallied as the talker does. */
    private function see(OnAir $on, string $login, int $lines = 1): void
    {
        for ($line = 0; $line < $lines; $line++) {
            $on->hear($login, 'ahoy');
        }
        \App\Air\Tallies::keep($on->air, new MariaDbStore(DB::connection(), $this->cove->id));
        // The helper's lines are minutes apart; whoever wrote was here just now.
        DB::table('viewers')->where('login', $login)->update(['last_seen' => Carbon::now('UTC')]);
    }

    /** @return list<string> */
    private function said(OnAir $on, string $login): array
    {
        $before = (int) DB::table('outgoing')->max('id');
        $on->hear($login, '!stove');

        return array_values(array_filter(
            DB::table('outgoing')->where('id', '>', $before)->pluck('text')->all(),
            is_string(...),
        ));
    }

    private function why(string $login): ?string
    {
        $kept = $this->remembered(Key::regular("account:$login"));

        return is_array($kept) && is_string($kept['why'] ?? null) ? $kept['why'] : null;
    }
}
