<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Accounts\Role;
use App\Air\Tallies;
use App\Models\Channel;
use App\Remember\MemoryEditor;
use App\Remember\Moving\BringMemory;
use App\Remember\Moving\KeptMemory;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use App\Storage\PackRepository;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Opis\JsonSchema\Validator;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Chat\Channel as ChatChannel;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\Pack;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** What is remembered moves house: it is taken along as lines, and is the same where it is brought. */
final class MovingTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['queue.default' => 'sync']);
        $this->actingAs($this->wren);
        $on = OnAir::of($this->cove);
        foreach (['odo', 'bram', 'tamsin'] as $login) {
            $on->hear($login, 'ahoy');
        }
        Tallies::keep($on->air, new MariaDbStore(DB::connection(), $this->cove->id));
        DB::table('viewers')->where('login', 'odo')->update(['days' => 17, 'minutes_here' => 4_321]);
        $this->remember($this->cove, [
            [Key::addedItems('jobs'), ['items' => [['id' => 'c1', 'text' => 'scrape the barnacles']]]],
            [Key::field('pebbles', 'account:odo'), 40],
            [Key::field('boat', 'account:bram'), 'Gannet, «the 2nd»'],
            [Key::field('joined', 'account:bram'), '2024-03-02T00:00:00Z'],
            [Key::everEarned('pebbles', 'account:odo'), 90],
            [Key::goods('lantern', 'account:odo'), 2],
            [Key::sold('lantern'), 3],
            [Key::checkIn('account:odo'), ['day' => '2026-11-24', 'run' => 4]],
            [Key::regular('account:odo'), [
                'since' => '2026-10-01T00:00:00Z',
                'why' => 'days',
                'until' => '2027-01-01T00:00:00Z',
            ]],
            [Key::regular('account:bram'), ['since' => '2026-10-01T00:00:00Z', 'why' => 'never']],
            [Key::counter('biscuits', Owner::viewer('account:odo')), 6],
            [Key::drawn('knots', 'i0123456789abcdef'), 7],
            [Key::longestRun('leak'), [
                'from' => '2026-01-01T00:00:00Z',
                'to' => '2026-02-01T00:00:00Z',
                'was' => ['from' => '2025-01-01T00:00:00Z', 'to' => '2025-01-03T00:00:00Z'],
            ]],
            [Key::listPosition('knots'), ['last' => 'i0123456789abcdef', 'round' => 'ab', 'at' => '0.5']],
        ]);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob(storage_path("app/private/moving/*-{$this->wren->id}.jsonl")) ?: []);
        parent::tearDown();
    }

    public function test_all_of_it_comes_back_the_same_in_another_house(): void
    {
        $file = $this->taken();
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/kept-memory.schema.json')));
        assert(is_object($schema));
        foreach (explode("\n", trim($file)) as $line) {
            self::assertTrue((new Validator)->validate(json_decode($line), $schema)->isValid(), $line);
        }
        $there = $this->otherHouse();
        $this->look($there, $file)
            ->assertSee('3 viewers')
            ->assertSee('2 quotes')
            ->assertDontSee('left out');
        self::assertSame([], $this->told($there), 'nothing before it is said');
        $this->post(route('remember.moving.bring', $there))->assertRedirect();
        $this->get(route('remember.moving', $there))->assertSee(count($this->told($there)).' lines are kept.');
        self::assertSame($this->told($this->cove), $this->told($there));
        self::assertGreaterThan(15, count($this->told($there)));
        $booked = static fn (): int => (int) DB::table('ledger')
            ->where('channel_id', $there->id)
            ->where('kind', 'field')
            ->sum('delta');
        self::assertSame(40, $booked());
        // Once more changes nothing: tallies are not added up twice.
        app(KeptMemory::class)->bring($there, explode("\n", $file));
        self::assertSame($this->told($this->cove), $this->told($there));
        self::assertSame(40, $booked());
    }

    public function test_the_command_line_takes_and_brings_as_much_as_there_is(): void
    {
        $there = $this->otherHouse();
        $file = sys_get_temp_dir().'/'.uniqid('memory', true).'.jsonl';
        try {
            $of = ['file' => $file, 'channel' => $this->cove->login];
            self::assertSame(0, Artisan::call('parrot:memory', $of));
            self::assertSame(1, Artisan::call('parrot:memory', $of), 'nothing is written over');
            self::assertSame(0, Artisan::call('parrot:memory', ['--bring' => true, 'channel' => $there->login] + $of));
            self::assertSame($this->told($this->cove), $this->told($there));
            self::assertSame(1, Artisan::call('parrot:memory', ['channel' => 'nowhere'] + $of));
        } finally {
            unlink($file);
        }
    }

    public function test_lines_that_make_no_sense_are_told_with_their_place_and_keep_no_other_out(): void
    {
        $head = '{"format":"silver-parrot-kept-memory","version":1}';
        $wrong = [
            '{"kind":"counter","name":"nothing_like_it","value":3}' => 'There is nothing called “nothing_like_it”.',
            '{"kind":"counter","name":"planks","value":"many"}' => 'a whole number',
            '{"kind":"boat","value":1}' => 'boat',
            '{"kind":"field","name":"pebbles","viewer":"account:odo","value":-3}' => '-3',
            '{"kind":"field","name":"pebbles","viewer":"no service","value":3}' => 'no service',
            '{"kind":"counter","name":"planks"' => '',
            '[1,2]' => '',
            '{"kind":"field","name":"pebbles","value":3}' => 'viewer',
            '{"kind":"quote","value":{"text":"x"}}' => 'number',
            '{"kind":"counter","name":"planks","category":"planking","value":3}' => 'planks for that',
            '{"kind":"counter","value":3}' => '“name” is missing.',
            '{"kind":"check_in","viewer":"account:odo","value":{"day":"soon","run":1}}' => 'soon',
            '{"kind":"quote","number":9,"value":{"text":"'.str_repeat('long ', 4_000).'"}}' => '',
        ];
        $lines = [$head, ...array_keys($wrong), '{"kind":"counter","name":"planks","value":77}'];
        $page = $this->look($this->cove, implode("\n", $lines))
            ->assertSee('1 counter’s number')
            ->assertSee('13 lines are left out');
        foreach (array_filter(array_values($wrong)) as $told) {
            $page->assertSee($told);
        }
        $page->assertSee('Line 2: ')->assertSee('Line 14: ')->assertDontSee('Line 15: ');
        $this->post(route('remember.moving.bring', $this->cove));
        $this->get(route('remember.moving', $this->cove))->assertSee('One line is kept.');
        self::assertSame(77, $this->remembered(Key::counter('planks')));
        $this->look($this->cove, '{"format":"something else","version":1}')->assertSee('Nothing in it can be kept');
        $this->post(route('remember.moving.look', $this->cove))->assertSessionHasErrors('file');
    }

    public function test_no_line_however_it_is_broken_is_an_error_of_ours(): void
    {
        $random = new Randomizer(new Mt19937(13));
        $lines = explode("\n", trim($this->taken()));
        $broken = [$lines[0]];
        for ($i = 0; $i < 300; $i++) {
            $line = $lines[$random->getInt(1, count($lines) - 1)];
            $at = $random->getInt(0, strlen($line) - 1);
            $broken[] = mb_scrub(substr_replace($line, $random->getBytes(1), $at, $random->getInt(0, 3)));
        }
        $looked = app(KeptMemory::class)->look($this->cove, $broken);
        self::assertSame(300, $looked['wrong'] + array_sum($looked['counts']));
        self::assertGreaterThan(20, $looked['wrong']);
    }

    public function test_it_goes_on_in_the_background_with_progress_and_can_be_stopped(): void
    {
        Queue::fake();
        $lines = array_map(static fn (int $at): string => sprintf(
            '{"kind":"viewer","viewer":"account:many%d","value":{"login":"many%1$d","name":"Many"}}',
            $at,
        ), range(1, 1_200));
        $this->look($this->cove, implode("\n", ['{"format":"silver-parrot-kept-memory","version":1}', ...$lines]));
        $this->post(route('remember.moving.bring', $this->cove));
        $job = null;
        Queue::assertPushed(static function (BringMemory $pushed) use (&$job): bool {
            $job = $pushed;

            return true;
        });
        $this->get(route('remember.moving', $this->cove))->assertSee('0 of 1,200 lines are kept.');
        $this->look($this->cove, $this->taken());
        $this->post(route('remember.moving.bring', $this->cove))
            ->assertSessionHas('notice', 'Another file is on its way: wait until it is in, or stop it.');
        Queue::assertPushedTimes(BringMemory::class, 1);
        $this->post(route('remember.moving.stop', $this->cove))->assertSessionHas('notice');
        self::assertInstanceOf(BringMemory::class, $job);
        app()->call([$job, 'handle']);
        $this->get(route('remember.moving', $this->cove))->assertSee('500 lines are kept.');
        self::assertSame(500, $this->cove->viewers()->where('login', 'like', 'many%')->count());
        self::assertFileDoesNotExist($job->file);
        // The other one waits still, an hour and no longer; what nobody fetched any more is cleared away.
        $waiting = dirname($job->file);
        touch("$waiting/other.jsonl.taken", time() - 4_000);
        touch("$waiting/{$this->cove->id}-{$this->wren->id}.jsonl", time() - 4_000);
        $this->look($this->otherHouse(), 'x');
        self::assertFileDoesNotExist("$waiting/other.jsonl.taken");
        $this->post(route('remember.moving.bring', $this->cove))
            ->assertSessionHas('notice', 'It waited too long. Choose the file again; nothing was kept.');
    }

    public function test_only_the_streamer_takes_it_along(): void
    {
        $this->actingAs($this->member('Ilse', Role::Author));
        $this->get(route('remember.moving', $this->cove))->assertOk()->assertDontSee('Export the memory');
        $this->get(route('remember.moving.take', $this->cove))->assertForbidden();
        $this->post(route('remember.moving.bring', $this->cove))->assertForbidden();
    }

    private function taken(): string
    {
        return $this->get(route('remember.moving.take', $this->cove))->assertOk()->streamedContent();
    }

    private function look(Channel $channel, string $file): \Illuminate\Testing\TestResponse
    {
        return $this->post(route('remember.moving.look', $channel), [
            'file' => UploadedFile::fake()->createWithContent('memory.jsonl', $file),
        ]);
    }

    private function otherHouse(): Channel
    {
        $pack = app(Assembler::class)->document($this->cove);
        $parts = get_object_vars($pack);
        unset($parts['byTrigger'], $parts['byLooseTrigger'], $parts['triggerWords']);

        return app(PackRepository::class)->make(
            new Pack(...array_replace($parts, ['channel' => ChatChannel::of('far_harbour', 'Far Harbour')])),
            $this->wren,
            [],
        );
    }

    /** @return list<string> the lines of all that is remembered, without the first */
    private function told(Channel $channel): array
    {
        $lines = array_slice(iterator_to_array(app(KeptMemory::class)->lines($channel->refresh()), false), 1);
        sort($lines);

        return $lines;
    }

    /** @param  list<array{Key, int|string|array<string, mixed>}>  $things */
    private function remember(Channel $channel, array $things): void
    {
        app(MemoryEditor::class)->change(
            $channel,
            $this->wren,
            Reads::of(...array_column($things, 0)),
            static fn (): array => array_map(
                static fn (array $one): Change => new Change(
                    $one[0],
                    null,
                    $one[1],
                    $one[0]->kind->value,
                    '',
                    is_int($one[1]) && in_array($one[0]->kind, [Kind::Drawn, Kind::EverEarned], true) ? $one[1] : null,
                ),
                $things,
            ),
        );
    }
}
