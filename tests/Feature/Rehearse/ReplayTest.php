<?php

declare(strict_types=1);

namespace Tests\Feature\Rehearse;

use App\Models\RehearsalRow;
use App\Models\Viewer;
use App\Publish\Editions;
use App\Rehearse\Evenings\Evenings;
use App\Rehearse\Evenings\HearEvening;
use App\Rehearse\Evenings\LogFiles;
use App\Remember\Viewers\Erasing;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use SilverParrot\Rehearsal\RehearsalState;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** A chat log: brought in parts, looked at, heard, and what only a log tells. */
final class ReplayTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
        Queue::fake();
    }

    protected function tearDown(): void
    {
        File::deleteDirectory(config()->string('rehearsals.logs'));
        parent::tearDown();
    }

    public function test_a_log_is_brought_in_parts_and_heard_against_the_draft(): void
    {
        $log = self::log();
        $half = intdiv(strlen($log), 2);
        $part = fn (int $from, string $text) => $this->postJson(route('rehearse.replay.part', $this->cove), [
            'from' => $from,
            'part' => UploadedFile::fake()->createWithContent('part.log', $text),
        ]);
        $part(0, substr($log, 0, $half))->assertOk()->assertJson(['there' => $half]);
        $part(7, 'x')->assertUnprocessable();
        $part($half, substr($log, $half))->assertOk()->assertJson(['there' => strlen($log)]);
        $this->get(route('rehearse.replay', ['channel' => $this->cove, 'day' => '2026-11-24', 'zone' => 'UTC']))
            ->assertOk()
            ->assertSee('18:02:03 odo: text')
            ->assertSee('24 Nov 2026, 20:00:00')
            ->assertSee('and 1 cannot')
            ->assertSee('line 2: not a line of it');
        $this->post(route('rehearse.replay.store', $this->cove), [
            'form' => 'plain', 'zone' => 'UTC', 'day' => '2026-11-24', 'name' => 'Tuesday', 'of' => 'draft',
        ])->assertRedirect();
        $row = RehearsalRow::query()->latest('id')->firstOrFail();
        (new HearEvening($row->id))->handle(app(Evenings::class));
        self::assertSame(RehearsalState::Done, $row->refresh()->state, (string) $row->trouble);
        $result = $row->result ?? [];
        self::assertSame(1, $result['replay']['unread']);
        self::assertSame($result['lines'], $result['replay']['read']);
        $this->get(route('rehearse.evening', [$this->cove, $row]))
            ->assertOk()
            ->assertSee('Tuesday')
            ->assertSee('One line could not be read.')
            ->assertSee('talks by itself')
            ->assertSee('8 times')
            ->assertSee('made .. mast', false)
            ->assertSeeInOrder(['Odo', 'answered:', 'larch, [caller]', 'Make it a reply']);
        // The other talker answers what the draft answers too.
        [$talker] = $result['replay']['talkers'];
        self::assertSame(['ringer', 8, true], [$talker['login'], $talker['answers'], $talker['both'] > 0]);
        // And the draft answers what it says.
        self::assertSame(1, $talker['loops']);
        $this->get(route('rehearse.evening', [$this->cove, $row]))
            ->assertSee('One line of its own would have been answered by the parrot');
        $this->from(route('rehearse.evening', [$this->cove, $row]))
            ->post(route('rehearse.talker', $this->cove), ['login' => 'Ringer'])
            ->assertRedirect();
        self::assertContains('ringer', $this->cove->refresh()->talkers);
        $change = $this->cove->definitionChanges()->latest('id')->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $change]))->assertRedirect();
        self::assertNotContains('ringer', $this->cove->refresh()->talkers);
        // A question leads to a command with its phrase.
        $phrase = $result['replay']['questions'][0]['phrase'];
        $drafted = ['channel' => $this->cove, 'phrase' => $phrase, 'reply' => '[caller]: larch, mostly'];
        $this->get(route('write.new', $drafted))->assertSee($phrase)->assertSee('[caller]: larch, mostly');
    }

    public function test_a_moment_of_a_log_is_heard_again_and_names_can_be_replaced(): void
    {
        $row = $this->heard(['nameless' => '1']);
        $page = $this->get(route('rehearse.evening', [$this->cove, $row]))->assertOk();
        self::assertStringNotContainsString('tamsin', strtolower((string) $page->getContent()));
        $mark = DB::table('rehearsal_marks')->where('kind', 'said')->value('id');
        $this->get(route('rehearse.evening.moment', [$this->cove, $row, $mark]))
            ->assertOk()
            ->assertSee('was triggered');
    }

    public function test_a_log_that_cannot_be_heard_now_waits_on(): void
    {
        $this->bring(self::log());
        $waiting = LogFiles::waiting($this->cove, $this->wren);
        foreach (range(1, Evenings::OPEN) as $hours) {
            $this->post(route('rehearse.night', $this->cove), ['hours' => $hours])->assertSessionHasNoErrors();
        }
        $hear = fn () => $this->post(route('rehearse.replay.store', $this->cove), ['form' => 'plain']);
        $hear()->assertSessionHasErrors([
            'form' => 'So many rehearsals are under way already: wait for one, or stop it.',
        ]);
        self::assertStringEqualsFile($waiting, self::log());
        RehearsalRow::query()->update(['state' => RehearsalState::Done]);
        // A file with a hole: it has its size, and takes no room.
        $large = fopen(LogFiles::of($this->cove->id, 'large.log'), 'wb');
        self::assertNotFalse($large);
        ftruncate($large, LogFiles::TOGETHER);
        fclose($large);
        $hear()->assertSessionHasErrors([
            'form' => 'The logs of this channel fill 1 GB: delete a rehearsal of one first.',
        ]);
        self::assertStringEqualsFile($waiting, self::log());
        LogFiles::forget($this->cove->id, 'large.log');
        $hear()->assertSessionHasNoErrors();
        self::assertFileDoesNotExist($waiting);
    }

    public function test_logs_go_with_their_rehearsals_and_with_whoever_is_forgotten(): void
    {
        $row = $this->heard([]);
        $file = LogFiles::of($this->cove->id, $row->options['replay']['file']);
        self::assertFileExists($file);
        $this->delete(route('rehearse.evening.destroy', [$this->cove, $row]))->assertRedirect();
        self::assertFileDoesNotExist($file);
        $row = $this->heard([]);
        $this->bring(self::log());
        $viewer = Viewer::query()->where('channel_id', $this->cove->id)->firstOrFail();
        self::assertTrue(app(Erasing::class)->of($this->cove, $viewer->id));
        self::assertNull($row->fresh());
        self::assertSame([], File::allFiles(config()->string('rehearsals.logs')));
    }

    public function test_the_oldest_gives_way_and_one_that_was_deleted_meanwhile_leaves_nothing(): void
    {
        $first = $this->heard([]);
        $file = LogFiles::of($this->cove->id, $first->options['replay']['file']);
        $columns = ['options' => '{}'] + array_diff_key($first->getAttributes(), ['id' => true]);
        RehearsalRow::query()->insert(array_fill(0, Evenings::KEPT - 1, $columns));
        $this->post(route('rehearse.night', $this->cove), ['hours' => '1'])->assertSessionHasNoErrors();
        self::assertNull($first->fresh());
        self::assertFileDoesNotExist($file);
        self::assertSame(Evenings::KEPT, $this->cove->rehearsals()->count());
        $this->bring(self::log());
        $this->post(route('rehearse.replay.store', $this->cove), ['form' => 'plain'])->assertSessionHasNoErrors();
        $row = RehearsalRow::query()->latest('id')->firstOrFail();
        DB::listen(static function (QueryExecuted $query) use ($row): void {
            $begins = in_array(RehearsalState::Running->value, $query->bindings, true);
            if ($begins && str_contains($query->sql, 'rehearsals')) {
                RehearsalRow::query()->whereKey($row->id)->delete();
            }
        });
        app(Evenings::class)->hear($row);
        self::assertNull($row->fresh());
        self::assertSame(0, DB::table('rehearsal_marks')->where('rehearsal_id', $row->id)->count());
    }

    public function test_a_log_of_weeks_says_which_day_it_is_and_what_was_left_out(): void
    {
        $this->bring("2026-11-01 20:00 odo: !dry\n2026-11-28 20:00 odo: !dry\n2027-03-01 20:00 odo: !dry\n");
        $this->post(route('rehearse.replay.store', $this->cove), ['form' => 'plain', 'zone' => 'UTC'])
            ->assertSessionHasNoErrors();
        $row = RehearsalRow::query()->latest('id')->firstOrFail();
        app(Evenings::class)->hear($row);
        self::assertSame(RehearsalState::Done, $row->refresh()->state, (string) $row->trouble);
        $this->get(route('rehearse.evening', [$this->cove, $row]))
            ->assertOk()
            ->assertSee('One line was written more than 31 days after the first, and left out.')
            ->assertSee('28 Nov, 20:00:00')
            ->assertSeeInOrder(['>1 Nov<', '>4 Nov<', '>28 Nov<'], false);
    }

    public function test_a_table_is_read_by_the_columns_that_were_chosen(): void
    {
        $log = "who,said,when\ntamsin,!dry,20:00\nodo,\"a, b\",20:01\n";
        $this->bring($log);
        $columns = ['form' => 'table', 'time' => 2, 'who' => 0, 'text' => 1];
        $this->get(route('rehearse.replay', ['channel' => $this->cove, ...$columns]))
            ->assertOk()
            ->assertSee('Of its first lines, 2 can be read, and 1 cannot')
            ->assertSee('a, b');
        $this->post(route('rehearse.replay.store', $this->cove), $columns)->assertSessionHasNoErrors();
    }

    public function test_what_no_form_reads_is_shown_and_not_heard(): void
    {
        $this->bring("what\nis\nthis\n");
        $this->get(route('rehearse.replay', $this->cove))->assertOk()->assertSee('No form that is known reads it.');
        $this->post(route('rehearse.replay.store', $this->cove), ['form' => 'plain'])->assertSessionHasErrors('form');
        $this->post(route('rehearse.replay.part', $this->cove), [])->assertSessionHasErrors('part');
        self::assertSame(0, RehearsalRow::query()->count());
    }

    public function test_last_night_is_heard_against_the_draft_answer_beside_answer(): void
    {
        app(Editions::class)->publish($this->cove, 'before', $this->wren);
        $air = OnAir::of($this->cove);
        foreach (['!dry', '!brew', '!knot', 'hello there', '!now'] as $line) {
            $air->hear('odo', $line);
        }
        $edit = function (string $trigger, string $text): void {
            $command = $this->cove->commands()->where('trigger', $trigger)->firstOrFail();
            $this->put(route('write.update', [$this->cove, $command]), $this->fields([
                'trigger' => $trigger,
                'responses' => [['text' => $text, 'weight' => '1']],
                'revision' => (string) $command->revision,
            ]))->assertRedirect();
        };
        $edit('!dry', 'As a bone.');
        $this->delete(route('write.drop', [$this->cove, $this->cove->commands()->where('trigger', '!knot')->first()]));
        $this->post(route('write.store', $this->cove), $this->fields([
            'trigger' => '!brew',
            'responses' => [['text' => 'Tea.', 'weight' => '1']],
        ]))->assertRedirect();
        $this->travel(1)->minutes();
        $this->post(route('rehearse.night', $this->cove), ['hours' => '12'])->assertRedirect();
        $row = RehearsalRow::query()->latest('id')->firstOrFail();
        (new HearEvening($row->id))->handle(app(Evenings::class));
        $result = $row->refresh()->result ?? [];
        self::assertSame([5, 1, 1, 1, 1], [
            $result['lines'],
            $result['same'],
            $result['different'],
            $result['newly'],
            $result['no_longer'],
        ], (string) $row->trouble);
        $this->get(route('rehearse.evening', [$this->cove, $row]))
            ->assertOk()
            ->assertSee('5 lines were looked at. 1 answer stays the same, 1 is different, 1 would be new')
            ->assertSeeText('As a bone.')
            ->assertSee('No longer answered (1)');
    }

    /** @param  array<string, string>  $more */
    private function heard(array $more): RehearsalRow
    {
        $this->bring(self::log());
        $this->post(route('rehearse.replay.store', $this->cove), $more + ['form' => 'plain', 'day' => '2026-11-24'])
            ->assertSessionHasNoErrors();
        $row = RehearsalRow::query()->latest('id')->firstOrFail();
        (new HearEvening($row->id))->handle(app(Evenings::class));

        return $row->refresh();
    }

    private function bring(string $log): void
    {
        $this->post(route('rehearse.replay.part', $this->cove), [
            'part' => UploadedFile::fake()->createWithContent('evening.log', $log),
        ])->assertRedirect(route('rehearse.replay', $this->cove));
    }

    private static function log(): string
    {
        $log = "20:00:00 odo: evening\nnot a line of it\n";
        for ($minute = 1; $minute <= 8; $minute++) {
            $ding = $minute === 8 ? 'Ding: where is the shed?' : 'Ding, tamsin.';
            $log .= "20:0$minute:00 tamsin: !dry\n20:0$minute:01 ringer: $ding\n"
                ."20:0$minute:20 pia: what is made of the mast, tamsin?\n20:0$minute:40 odo: larch, @pia\n";
        }

        return $log;
    }
}
