<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Air\Timers;
use App\Models\TimerRow;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\MariaDbStore;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Value\Moment;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** Timers as they are typed, kept and told, and what the talker says because of them. */
final class TimersTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
        $this->cove->timers()->delete();
    }

    public function test_a_timer_is_made_changed_undone_and_goes_along_in_the_pack(): void
    {
        $this->make(['messages' => "first\n\n second "])->assertSessionHasNoErrors();
        $row = $this->timer('links');
        self::assertSame(
            ['links', ['first', 'second'], 30, 10, true],
            [
                $row->timer()->name,
                array_map(static fn ($one): string => $one->text(), $row->timer()->responses),
                $row->timer()->minutes,
                $row->timer()->lines,
                $row->timer()->whileLive,
            ],
        );
        $this->get(route('write.timers', $this->cove))
            ->assertSee('Every 30 minutes, after 10 lines by people, while the stream is live')
            ->assertSee('one of 2 messages, in turn')
            ->assertSee('4 times in two hours');
        $this->put(route('write.timers.update', [$this->cove, $row]), [
            'timer' => (string) $row->id,
            'seen' => (string) DefinitionHistory::revision(
                $this->cove,
                new \App\Storage\Definitions\Timers,
            ),
            'name' => 'links',
            'minutes' => '15',
            'lines' => '2',
            'messages' => '',
            'run' => '!TIDE',
            'offline_too' => '1',
            'is_on' => '1',
        ])->assertSessionHasNoErrors();
        $tide = $this->command('!tide')->stable_id;
        self::assertSame([$tide], $this->timer('links')->timer()->command()->runs());
        $this->get(route('write.timers', $this->cove))
            ->assertSee('runs !tide')
            ->assertSee('The timer links speaks every 15 minutes.');
        $change = $this->cove->hasMany(\App\Models\DefinitionChange::class)->latest('id')->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $change]))->assertSessionHasNoErrors();
        self::assertSame(30, $this->timer('links')->timer()->minutes);
        [$pack] = PackFormat::read(PackFormat::write(app(Assembler::class)->document($this->cove)));
        self::assertSame(['links'], array_column($pack->timers, 'name'));
        $this->delete(route('write.timers.destroy', [$this->cove, $this->timer('links')]));
        self::assertSame(0, $this->cove->timers()->count());
    }

    public function test_a_sample_fills_the_form_and_its_lines_follow_the_pace_of_the_chat(): void
    {
        $this->get(route('write.timers', ['channel' => $this->cove, 'sample' => 'event']))
            ->assertSee('The next stream begins in [until channel.next].')
            ->assertSee('name="lines" value="10"', false)
            ->assertDontSee('in half an hour');
        $on = OnAir::of($this->cove);
        // A line a minute.
        for ($line = 0; $line < 60; $line++) {
            $on->hear('odo', "line $line");
        }
        $this->get(route('write.timers', $this->cove))
            ->assertSee('about 31 lines in half an hour')
            ->assertSee('name="lines" value="10"', false);
        foreach (\SilverParrot\Hearing\Timers\TimerSample::cases() as $sample) {
            foreach ($sample->timer(10)->responses as $response) {
                self::assertSame('', \SilverParrot\Response\WithoutCaller::problem(
                    $response->text(),
                    app(Assembler::class)->names($this->cove),
                    new \SilverParrot\Response\ResponseCache,
                ));
            }
        }
    }

    public function test_what_a_timer_names_is_used_and_renamed_and_a_command_that_is_gone_is_told(): void
    {
        $this->make(['messages' => 'The tide: [fact.tide]']);
        $this->get(route('remember', [$this->cove, 'find' => 'fact.tide']))->assertSee('timer links');
        $fact = $this->cove->facts()->where('name', 'tide')->firstOrFail();
        $rename = route('remember.named.update', [$this->cove, 'facts', $fact->stable_id]);
        $typed = ['name' => 'water', 'text' => $fact->text, 'confirmed' => '1'];
        $this->put($rename, $typed)->assertSessionHasNoErrors();
        self::assertSame('The tide: [fact.water]', $this->timer('links')->timer()->responses[0]->text());
        $this->make(['name' => 'runs', 'messages' => '', 'run' => '!tide']);
        $this->delete(route('write.drop', [$this->cove, $this->command('!tide')]));
        $this->get(route('write.findings', $this->cove))->assertSee('The timer runs runs !tide, and there is no such');
    }

    public function test_the_picture_follows_what_is_typed(): void
    {
        $this->make([]);
        $id = $this->timer('links')->id;
        $see = fn (string $typed) => $this->get(route('write.timers.picture', $this->cove)."?$typed")->assertOk();
        $see("timer=$id&minutes=20&is_on=1")->assertSee('6 times in two hours');
        $see("timer=$id&minutes=20")->assertSee('None of them speaks in two hours.');
        $see('timer=new&minutes=60&is_on=1&name=%3Cb%3Ebow')
            ->assertSee('5 times in two hours')
            ->assertSee('&lt;b&gt;bow', false);
        $see("timer=$id&minutes=often&is_on=1")->assertSee('None of them speaks');
    }

    public function test_a_name_that_another_took_meanwhile_stops_neither_undo_nor_import(): void
    {
        $this->make([]);
        $this->delete(route('write.timers.destroy', [$this->cove, $this->timer('links')]));
        $this->make(['messages' => 'Another.']);
        $change = $this->cove->hasMany(\App\Models\DefinitionChange::class)->orderBy('id')->skip(1)->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $change]))->assertSessionHasNoErrors();
        self::assertEqualsCanonicalizing(['links', 'links 2'], $this->cove->timers()->pluck('name')->all());
        $pack = app(Assembler::class)->document($this->cove);
        app(\App\Storage\PackRepository::class)->merge(
            $this->cove,
            PackFormat::read((string) preg_replace(
                ['/"id": "[^"]+",\s+"name": "links"/', '/"links"/'],
                ['"id": "far", "name": "links"', '"LINKS"'],
                PackFormat::write($pack),
            ))[0],
        );
        self::assertEqualsCanonicalizing(['LINKS', 'links 2'], $this->cove->timers()->pluck('name')->all());
    }

    public function test_what_cannot_be_is_told_and_nothing_typed_is_lost(): void
    {
        foreach (
            [
                [['name' => ' '], 'Give it a name.'],
                [['minutes' => 'often'], 'Minutes are a whole number'],
                [['minutes' => '0', 'lines' => '0'], 'It would speak all the time'],
                [['messages' => ''], 'It has nothing to say.'],
                [['messages' => "fine\nhello [caller]"], 'Message 2: Nobody calls it'],
                [['messages' => '[nobody.here]'], 'Message 1: Nothing is named nobody.here.'],
                [['run' => '!nothing_there'], 'There is no such command.'],
                [['messages' => str_repeat("x\n", 101)], 'It has at most 100 messages.'],
                [['messages' => str_repeat('x', 2_001)], 'Message 1: It is longer than 2,000 characters.'],
                [['order' => 'one_a_day'], 'order'],
            ] as [$typed, $told]
        ) {
            $this->followingRedirects()
                ->from(route('write.timers', $this->cove))
                ->post(route('write.timers.store', $this->cove), $typed + $this->typed())
                ->assertSee($told);
        }
        self::assertSame(0, $this->cove->timers()->count());
        $this->make([])->assertSessionHasNoErrors();
        $this->make([])->assertSessionHasErrors(['name' => 'Another timer has this name.']);
        // What somebody else saved meanwhile is not overwritten.
        $row = $this->timer('links');
        $seen = DefinitionHistory::revision($this->cove, new \App\Storage\Definitions\Timers);
        $change = fn (string $minutes) => $this->put(
            route('write.timers.update', [$this->cove, $row]),
            ['timer' => (string) $row->id, 'minutes' => $minutes, 'seen' => (string) $seen] + $this->typed(),
        );
        $change('20')->assertSessionHasNoErrors();
        $change('25')->assertSessionHasErrors('timers');
        self::assertSame(20, $this->timer('links')->timer()->minutes);
        $kept = $row->only(['channel_id', 'document']);
        for ($more = 1; $more < 100; $more++) {
            $this->cove->timers()->create(
                ['stable_id' => "t$more", 'name' => "t$more", 'name_folded' => "t$more"] + $kept,
            );
        }
        $this->make(['name' => 'one more'])->assertSessionHasErrors(['name' => 'There are 100 timers already: delete '
            .'one first.']);
    }

    public function test_the_talker_says_it_once_when_it_is_due_also_after_another_began(): void
    {
        $this->make(['minutes' => '10', 'lines' => '2', 'offline_too' => '1'])->assertSessionHasNoErrors();
        $on = OnAir::of($this->cove);
        $on->air->pack = app(Assembler::class)->pack($this->cove);
        $store = new MariaDbStore(DB::connection(), $this->cove->id);
        $now = Moment::of(now());
        $look = static function (int $minutes) use ($on, $store, $now): void {
            Timers::look(
                $on->air,
                $store,
                $now->plusMillis($minutes * 60_000),
                static fn (TimerDue $due) => $on->air->happens($due),
            );
        };
        $said = static fn (): int => DB::table('outgoing')->where('text', 'Mind the paint.')->count();
        $look(0);
        $look(11);
        self::assertSame(0, $said(), 'nobody wrote');
        foreach (['good evening', '!tide', 'what a night', 'harbour_bell: ding'] as $line) {
            [$by, $text] = str_contains($line, ': ') ? explode(': ', $line) : ['odo', $line];
            $on->hear($by, $text);
        }
        self::assertSame(2, $on->air->peopleLines, 'no command, and nobody who talks by themselves');
        \App\Air\Tallies::keep($on->air, $store);
        $look(9);
        self::assertSame(0, $said(), 'too early');
        $look(11);
        $look(11);
        self::assertSame(1, $said());
        // A talker that begins now knows since when it waits; the same moment seen by two is said once.
        $other = OnAir::of($this->cove);
        $other->air->pack = $on->air->pack;
        $timer = $on->air->pack->timers[0];
        $other->air->happens(new TimerDue($timer, 0, $now->plusMillis(11 * 60_000 + 1)));
        self::assertSame(1, $said());
    }

    public function test_it_is_said_now_by_a_press_once_it_is_on_the_air(): void
    {
        $this->make([])->assertSessionHasNoErrors();
        $now = route('write.timers.now', [$this->cove, $this->timer('links')]);
        $this->post($now)->assertSessionHas('notice', 'It is not on the air yet: publish it first.');
        $this->post(route('publish.store', $this->cove), ['note' => ''])->assertSessionHasNoErrors();
        $this->travelTo(now()->startOfMinute());
        $this->post($now)->assertSessionHas('notice', 'links is on its way to the chat.');
        $this->post($now)->assertSessionHas('notice', 'links was said within this minute.');
        self::assertSame(1, DB::table('outgoing')->where('text', 'Mind the paint.')->count());
        $this->cove->refresh()->update(['paused' => true]);
        $this->post($now)->assertSessionHas('notice', 'The parrot is paused. Resume it on Publish first.');
        self::assertSame(1, DB::table('outgoing')->count());
    }

    /** @param  array<string, string>  $typed */
    private function make(array $typed): TestResponse
    {
        return $this->post(route('write.timers.store', $this->cove), $typed + $this->typed());
    }

    /** @return array<string, string> */
    private function typed(): array
    {
        return [
            'timer' => 'new',
            'name' => 'links',
            'minutes' => '30',
            'lines' => '10',
            'messages' => 'Mind the paint.',
            'order' => 'in_turn',
            'is_on' => '1',
        ];
    }

    private function timer(string $name): TimerRow
    {
        return $this->cove->timers()->where('name', $name)->firstOrFail();
    }
}
