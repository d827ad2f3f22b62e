<?php

declare(strict_types=1);

namespace Tests\Feature\Rehearse;

use App\Accounts\Role;
use App\Models\RehearsalRow;
use App\Publish\Editions;
use App\Rehearse\Evenings\EveningPlan;
use App\Rehearse\Evenings\Evenings;
use App\Rehearse\Evenings\HearEvening;
use App\Rehearse\Evenings\HearMore;
use App\Rehearse\Evenings\MarkRows;
use App\Rehearse\Evenings\SeveralEvenings;
use App\Storage\Backup\Table;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use SilverParrot\Rehearsal\Crowd\CrowdFormat;
use SilverParrot\Rehearsal\RehearsalState;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** A whole evening: begun on its page, heard by a worker, looked at in its picture. */
final class EveningsTest extends TestCase
{
    private const CROWD = [
        'people' => '20', 'minutes' => '30', 'lines' => '600', 'busiest' => '50', 'stays' => '20', 'seeds' => '1',
        'seed' => '7', 'of' => 'draft', 'habits' => ['commands' => '20', 'phrases' => '5'],
        'happenings' => [['at' => '10', 'kind' => 'raid', 'count' => '15', 'text' => '']],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
        // Workers are processes of their own: what they are told is heard here when a test says so.
        Queue::fake();
    }

    public function test_an_evening_is_heard_and_drawn_and_nothing_else_is_written(): void
    {
        $before = $this->tables();
        $row = $this->heard(self::CROWD);
        self::assertSame(RehearsalState::Done, $row->state);
        self::assertSame($before, $this->tables(), 'a rehearsal writes into its own tables alone');
        $page = $this->get(route('rehearse.evening', [$this->cove, $row]))->assertOk();
        $page->assertSee('% of the chat')->assertSee('a raid of 15')->assertSee('held back by a gate');
        $page->assertSee('Said within 30 s:')->assertSee('the chat takes 100 of a moderator');
        $page->assertSee('What was asked for')->assertSee('evening-picture', false);
        $result = $row->result ?? [];
        self::assertSame(615, $result['lines']);
        // As many marks as the figures tell.
        $told = array_sum(array_column((array) $result['commands'], 'asked'));
        self::assertSame($told, DB::table('rehearsal_marks')->whereNot('kind', 'happened')->count());
        $this->get(route('rehearse.evening.report', [$this->cove, $row]))
            ->assertOk()
            ->assertJsonPath('lines', 615)
            ->assertJsonMissingPath('pieces');
        $this->get(route('rehearse.evening.report', ['channel' => $this->cove, 'rehearsal' => $row, 'as' => 'page']))
            ->assertOk()
            ->assertSee('615 lines by people');
    }

    public function test_the_same_seed_is_the_same_evening_and_each_moment_can_be_heard_again(): void
    {
        [$one, $other] = [$this->heard(self::CROWD), $this->heard(self::CROWD)];
        self::assertSame($one->result, $other->result);
        self::assertNotSame($one->result, $this->heard(['seed' => '8'] + self::CROWD)->result);
        $marks = DB::table('rehearsal_marks')->where('rehearsal_id', $one->id)->whereNot('kind', 'happened')->get();
        self::assertGreaterThan(30, $marks->count());
        foreach ($marks->random(6) as $mark) {
            $kept = MarkRows::find($one, (int) $mark->id);
            $again = $kept === null ? null : app(Evenings::class)->moment($this->cove, $one, $kept);
            self::assertNotNull($again);
            self::assertSame($mark->said, implode("\n", $again->heard->outcome->texts()));
            self::assertNotSame([], $again->heard->outcome->trace?->entries());
        }
        $closed = $marks->firstWhere('kind', 'held_back');
        self::assertNotNull($closed);
        $moment = ['rehearsal' => $one, 'channel' => $this->cove, 'mark' => $closed->id];
        $this->get(route('rehearse.evening.moment', $moment))
            ->assertOk()
            ->assertSee($closed->person)
            ->assertSee('no reply')
            ->assertSee('Take it into Write');
        // Into Write, where the same line is answered in the same way.
        $write = $this->post(route('rehearse.evening.take', [$this->cove, $one]), ['mark' => $closed->id])
            ->assertRedirect()
            ->headers->get('Location');
        $this->get((string) $write)
            ->assertOk()
            ->assertSee('Begins with a line of a rehearsal')
            ->assertSee($closed->person)
            ->assertSee('no reply');
    }

    public function test_the_picture_is_zoomed_and_filtered(): void
    {
        $row = $this->heard(self::CROWD);
        $picture = fn (array $at) => $this->get(route('rehearse.evening.picture', [$this->cove, $row, ...$at]));
        $whole = substr_count((string) $picture([])->assertOk()->getContent(), 'data-mark');
        $part = substr_count((string) $picture(['from' => 0, 'to' => 600_000])->getContent(), 'data-mark');
        self::assertGreaterThan(0, $part);
        self::assertLessThan($whole, $part);
        $held = (string) $picture(['kind' => 'held_back'])->getContent();
        self::assertStringContainsString('mark is-held_back', $held);
        self::assertStringNotContainsString('mark is-said', $held);
        $gate = (string) DB::table('rehearsal_marks')->where('kind', 'held_back')->value('gate');
        $byIt = DB::table('rehearsal_marks')->where('kind', 'held_back')->where('gate', $gate)->count();
        self::assertLessThan(DB::table('rehearsal_marks')->where('kind', 'held_back')->count(), $byIt);
        $ofGate = (string) $picture(['kind' => "held_back by $gate"])
            ->assertSee("held back by $gate")
            ->getContent();
        self::assertSame(min(50, $byIt), substr_count($ofGate, '<tr><td>'));
        $person = (string) DB::table('rehearsal_marks')->whereNot('person', '')->value('person');
        $count = DB::table('rehearsal_marks')->where('person', $person)->count();
        $rows = (string) $picture(['person' => $person])->getContent();
        self::assertSame(min(50, $count), substr_count($rows, '<tr><td>'));
        // What makes no sense is as near as it can be.
        foreach ([['from' => -5], ['from' => 10 ** 12], ['to' => 'soon'], ['kind' => 'x'], ['lane' => '-3']] as $odd) {
            $picture($odd)->assertOk();
        }
    }

    public function test_it_can_be_stopped_before_and_while_it_is_heard(): void
    {
        $this->post(route('rehearse.crowd.store', $this->cove), self::CROWD)->assertRedirect();
        $row = RehearsalRow::query()->latest('id')->firstOrFail();
        $this->get(route('rehearse.evening', [$this->cove, $row]))
            ->assertSee('It waits for a worker.')
            ->assertSee('Stop');
        $this->post(route('rehearse.evening.stop', [$this->cove, $row]))->assertRedirect();
        (new HearEvening($row->id))->handle(app(Evenings::class));
        self::assertSame([RehearsalState::Stopped, null], [$row->refresh()->state, $row->result]);
        $this->get(route('rehearse.evening', [$this->cove, $row]))->assertSee('stopped before it began');
        // While it is heard: what it came to until then stands.
        $running = $this->cove->rehearsals()->create([
            'state' => RehearsalState::Running,
            'ended_at' => null,
        ] + $row->only(['user_id', 'kind', 'title', 'options', 'done', 'total', 'created_at']));
        app(Evenings::class)->stop($running);
        self::assertSame(RehearsalState::Stopping, $running->refresh()->state);
        (new HearEvening($running->id))->handle(app(Evenings::class));
        self::assertSame(RehearsalState::Stopped, $running->refresh()->state);
        self::assertSame(0, DB::table('rehearsal_marks')->count());
    }

    public function test_a_job_that_died_says_so_and_one_that_is_taken_up_again_is_heard_anew(): void
    {
        $row = $this->begun(self::CROWD);
        RehearsalRow::query()->whereKey($row->id)->update(['state' => 'running', 'done' => 400]);
        (new HearEvening($row->id))->handle(app(Evenings::class));
        self::assertSame(RehearsalState::Done, $row->refresh()->state);
        $other = $this->begun(self::CROWD);
        (new HearEvening($other->id))->failed();
        self::assertSame(RehearsalState::Failed, $other->refresh()->state);
        $this->get(route('rehearse.evening', [$this->cove, $other]))->assertSee('It was not heard');
    }

    /** In whatever order workers take the parts, and also where one of them takes a part up anew. */
    public function test_several_evenings_are_heard_in_parts_and_give_ranges(): void
    {
        $row = $this->heard(['seeds' => '10', 'lines' => '80'] + self::CROWD);
        self::assertSame([RehearsalState::Running, 1], [$row->state, $row->done]);
        $this->get(route('rehearse.evening', [$this->cove, $row]))->assertSee('1 of 10 evenings are heard.');
        $this->get(route('rehearse.evening.picture', [$this->cove, $row]))->assertNotFound();
        $parts = Queue::pushed(HearMore::class)->all();
        self::assertCount(2, $parts);
        foreach ([$parts[1], $parts[0], $parts[1]] as $part) {
            $part->handle(app(SeveralEvenings::class));
        }
        self::assertSame([RehearsalState::Done, 10], [$row->refresh()->state, $row->done]);
        $ranges = $row->result['ranges'] ?? [];
        self::assertIsArray($ranges);
        self::assertGreaterThan($ranges['said']['least'], $ranges['said']['most']);
        // One of them alone is one of the ten.
        $alone = $this->heard(['seed' => '12', 'lines' => '80'] + self::CROWD)->result ?? [];
        self::assertSame($alone['said'], SeveralEvenings::runs($row)[5]['said']);
        self::assertSame($this->toldByCommandLine($row, '--seeds=7-16'), $this->reported($row));
    }

    public function test_several_evenings_are_stopped_with_what_was_heard(): void
    {
        $row = $this->heard(['seeds' => '10', 'lines' => '80'] + self::CROWD);
        app(Evenings::class)->stop($row);
        $parts = Queue::pushed(HearMore::class)->all();
        $parts[0]->handle(app(SeveralEvenings::class));
        self::assertSame([RehearsalState::Stopped, 1], [$row->refresh()->state, $row->done]);
        self::assertArrayHasKey('ranges', $row->result ?? []);
        $parts[1]->handle(app(SeveralEvenings::class));
        self::assertSame(1, $row->refresh()->done);
        app(Evenings::class)->forget($row);
        $parts[1]->handle(app(SeveralEvenings::class));
        self::assertSame(0, DB::table('rehearsal_runs')->count());
    }

    public function test_what_others_heard_counts_where_the_first_is_stopped(): void
    {
        $row = $this->begun(['seeds' => '10'] + self::CROWD);
        $isStopped = false;
        // While the first is heard, another worker hears five, and then somebody stops all.
        DB::listen(static function (QueryExecuted $query) use ($row, &$isStopped): void {
            if (! $isStopped && str_contains($query->sql, 'sketch')) {
                $isStopped = true;
                Queue::pushed(HearMore::class)->first()->handle(app(SeveralEvenings::class));
                app(Evenings::class)->stop($row);
            }
        });
        (new HearEvening($row->id))->handle(app(Evenings::class));
        self::assertTrue($isStopped);
        self::assertSame([RehearsalState::Stopped, 5], [$row->refresh()->state, $row->done]);
        self::assertNotNull($row->ended_at);
        self::assertArrayHasKey('ranges', $row->result ?? []);
        self::assertSame([1, 2, 3, 4, 5], array_keys(SeveralEvenings::runs($row)));
    }

    public function test_the_report_is_that_of_the_command_line_to_the_byte(): void
    {
        $row = $this->heard(self::CROWD);
        $report = $this->reported($row);
        self::assertGreaterThan(20, substr_count($report, '"what"'));
        self::assertSame($this->toldByCommandLine($row, '--seed=7'), $report);
    }

    private function reported(RehearsalRow $row): string
    {
        return (string) $this->get(route('rehearse.evening.report', [$this->cove, $row]))->assertOk()->getContent();
    }

    private function toldByCommandLine(RehearsalRow $row, string $seed): string
    {
        $plan = EveningPlan::of($row->options);
        $folder = sys_get_temp_dir().'/report-'.getmypid();
        @mkdir($folder);
        $pack = $this->get(route('write.pack.export', $this->cove))->assertOk();
        file_put_contents("$folder/pack.json", (string) $pack->getContent());
        file_put_contents("$folder/crowd.json", json_encode(CrowdFormat::write($plan->crowd), JSON_THROW_ON_ERROR));
        [$option, $value] = explode('=', $seed);
        self::assertSame(0, Artisan::call('parrot:rehearse', [
            'pack' => "$folder/pack.json",
            '--crowd' => "$folder/crowd.json",
            '--memory' => base_path('docs/examples/lantern-cove.memory.json'),
            '--now' => $plan->start->iso(),
            '--report' => "$folder/report.json",
            '--json' => true,
            $option => $value,
        ]), Artisan::output());

        $report = (string) file_get_contents("$folder/report.json");
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);

        return $report;
    }

    public function test_two_evenings_stand_beside_each_other_what_is_otherwise_first(): void
    {
        app(Editions::class)->publish($this->cove, 'first', $this->wren);
        $edition = $this->heard(['of' => 'edition'] + self::CROWD);
        $this->cove->commands()->where('trigger', '!dry')->delete();
        $draft = $this->heard(self::CROWD);
        $page = ['channel' => $this->cove, 'rehearsal' => $draft, 'beside' => $edition->id];
        $this->get(route('rehearse.evening', $page))
            ->assertOk()
            ->assertSeeInOrder(['This one', 'sayings', '!dry', '–']);
        $other = $this->harbour($this->person('Pia'))->rehearsals()->create(
            $edition->only(['kind', 'title', 'options', 'state', 'result', 'created_at']),
        );
        $this->get(route('rehearse.evening', ['beside' => $other->id] + $page))->assertOk()->assertDontSee('This one');
    }

    public function test_a_crowd_takes_words_of_the_real_chat_if_wanted(): void
    {
        app(Editions::class)->publish($this->cove, 'first', $this->wren);
        $air = OnAir::of($this->cove);
        foreach (['has the varnish set?', '!dry', 'the keel is crooked again'] as $line) {
            $air->hear('odo', $line);
        }
        $row = $this->heard(['words' => '1'] + self::CROWD);
        self::assertSame(['has the varnish set?', 'the keel is crooked again'], $row->options['words']);
        self::assertNotSame($this->heard(self::CROWD)->result, $row->result);
        $page = route('rehearse.crowd', ['channel' => $this->cove, 'like' => $row->id]);
        $this->get($page)->assertOk()->assertSee('name="words" value="1" checked', false);
    }

    public function test_a_crowd_takes_words_of_a_log_that_is_given_with_it(): void
    {
        $file = static fn (string $text): array => ['log' => UploadedFile::fake()->createWithContent('a.log', $text)];
        $log = "20:00 odo: the varnish is tacky\n20:01 pia: !dry\n20:02 pia: caulking irons, all of them\nnothing\n";
        $row = $this->heard($file($log) + self::CROWD);
        self::assertSame(['the varnish is tacky', 'caulking irons, all of them'], $row->options['words']);
        $this->from(route('rehearse.crowd', $this->cove))
            ->post(route('rehearse.crowd.store', $this->cove), $file("a shopping list\neggs\n") + self::CROWD)
            ->assertSessionHasErrors(['log' => 'Nobody says anything in that file that can be read as a chat log.']);
        $this->post(route('rehearse.crowd.store', $this->cove), $file(str_repeat('x', 5_000_000)) + self::CROWD)
            ->assertSessionHasErrors('log');
    }

    public function test_what_makes_no_crowd_is_said_beside_its_field_and_nothing_typed_is_lost(): void
    {
        $this->from(route('rehearse.crowd', $this->cove))
            ->post(route('rehearse.crowd.store', $this->cove), [
                'people' => '0',
                'lines' => '99999999',
                'habits' => ['commands' => '70', 'links' => '60'],
            ] + self::CROWD)
            ->assertRedirect(route('rehearse.crowd', $this->cove))
            ->assertSessionHasErrors(['people', 'lines', 'habits']);
        $this->get(route('rehearse.crowd', $this->cove))
            ->assertSee('A crowd has 1 to 5,000 people.')
            ->assertSee('value="99999999"', false);
        $this->post(route('rehearse.crowd.store', $this->cove), ['seeds' => '100', 'lines' => '100000'] + self::CROWD)
            ->assertSessionHasErrors('seeds');
        self::assertSame(0, RehearsalRow::query()->count());
    }

    public function test_only_so_many_are_under_way_and_others_cannot_see_them(): void
    {
        foreach (range(1, Evenings::OPEN) as $ignored) {
            $row = $this->begun(self::CROWD);
        }
        $this->post(route('rehearse.crowd.store', $this->cove), self::CROWD)->assertSessionHasErrors('seeds');
        self::assertSame(Evenings::OPEN, RehearsalRow::query()->count());
        $other = $this->harbour($this->person('Pia'));
        $this->get("/channels/{$other->id}/rehearse/evenings/{$row->id}")->assertNotFound();
        $this->actingAs($this->person('Odo'));
        $this->get(route('rehearse.evening', [$this->cove, $row]))->assertNotFound();
        $this->actingAs($this->member('Ilse', Role::Author));
        $this->get(route('rehearse.evening', [$this->cove, $row]))->assertOk();
        $this->delete(route('rehearse.evening.destroy', [$this->cove, $row]))->assertRedirect();
        self::assertSame(Evenings::OPEN - 1, RehearsalRow::query()->count());
    }

    /** @param  array<string, mixed>  $crowd */
    private function begun(array $crowd): RehearsalRow
    {
        $this->post(route('rehearse.crowd.store', $this->cove), $crowd)->assertSessionHasNoErrors()->assertRedirect();
        Queue::assertPushedOn(HearEvening::QUEUE, HearEvening::class);

        return RehearsalRow::query()->latest('id')->firstOrFail();
    }

    /** @param  array<string, mixed>  $crowd */
    private function heard(array $crowd): RehearsalRow
    {
        $row = $this->begun($crowd);
        (new HearEvening($row->id))->handle(app(Evenings::class));

        return $row->refresh();
    }

    /** @return array<string, string> what stands in every table that lasts */
    private function tables(): array
    {
        $tables = [];
        foreach (array_keys(Table::all()) as $table) {
            $rows = DB::table($table)->get()->map(static fn (object $row): string => serialize((array) $row))->sort();
            $tables[$table] = hash('sha256', $rows->implode("\n"));
        }

        return $tables;
    }
}
