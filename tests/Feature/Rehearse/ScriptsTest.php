<?php

declare(strict_types=1);

namespace Tests\Feature\Rehearse;

use App\Models\CommandRow;
use App\Models\ScriptRow;
use App\Rehearse\Scripts\ScriptRuns;
use App\Remember\Viewers\Erasing;
use App\Storage\Assembler;
use App\Storage\PackRepository;
use Illuminate\Support\Facades\DB;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use Tests\Feature\TestCase;

/** Scripts: written, run against the draft, mended, kept from a tried chat. */
final class ScriptsTest extends TestCase
{
    private const DRY = "# The leak.\nformat: silver-parrot-script\nversion: 1\ntitle: Dry\n"
        ."start: {seed: \"7\"}\nchat:\n  - line: '+0s tamsin: !dry'\n    expect: [{says: 'Not yet.'}, {within: 5}]\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_script_that_fails_is_said_and_holds_once_what_is_said_now_is_right(): void
    {
        $row = $this->kept(self::DRY);
        $page = ['channel' => $this->cove, 'script' => $row->id];
        $this->get(route('rehearse.scripts', $page))
            ->assertOk()
            ->assertSee('It does not hold.')
            ->assertSee('it says something else')
            ->assertSee('Not a drop so far.')
            ->assertSee('1 of 1 does not hold.');
        $this->get(route('publish.scripts', $this->cove))->assertSee('1 of 1 does not hold:')->assertSee('Dry');
        $this->post(route('rehearse.scripts.accept', [$this->cove, $row]), ['part' => 0])->assertRedirect();
        $text = $row->refresh()->text;
        self::assertStringStartsWith("# The leak.\nformat:", $text);
        self::assertStringContainsString('- within: 5', $text);
        $this->get(route('rehearse.scripts', $page))->assertSee('<b>It holds.</b>', false);
        self::assertTrue($row->refresh()->holds);
        $this->get(route('publish.scripts', $this->cove))->assertSee('It holds.');
    }

    public function test_scripts_run_again_when_the_draft_changes(): void
    {
        $says = strtr(self::DRY, ["{says: 'Not yet.'}" => '{contains: drop}']);
        $row = $this->kept($says);
        $runs = app(ScriptRuns::class);
        self::assertSame([], array_column($runs->goOn($this->cove)->broken(), 'unmet'));
        $command = $this->cove->commands()->where('trigger', '!dry')->firstOrFail();
        $this->put(route('write.update', [$this->cove, $command]), $this->fields([
            'trigger' => '!dry',
            'responses' => [['text' => 'As a bone.', 'weight' => '1']],
            'revision' => (string) $command->revision,
        ]))->assertRedirect();
        self::assertSame(1, $runs->stand($this->cove)->left);
        self::assertSame(['Dry'], array_column($runs->goOn($this->cove)->broken(), 'title'));
        self::assertSame('“drop” is not in what is said', $row->refresh()->unmet);
    }

    public function test_a_line_of_a_script_is_taken_into_write_as_it_was_heard(): void
    {
        $row = $this->kept(strtr(self::DRY, ['!dry' => '!luck', '"7"' => '"gull"']));
        $read = ScriptFormat::read($row->text, app(Assembler::class)->pack($this->cove))[0];
        self::assertNotNull($read);
        $said = app(ScriptRuns::class)->one($this->cove, $read)->said(0)[0];
        $write = $this->post(route('rehearse.scripts.take', [$this->cove, $row]), ['part' => 0])
            ->assertRedirect()
            ->headers->get('Location');
        $this->get((string) $write)->assertOk()->assertSee($said);
    }

    public function test_a_tried_chat_is_kept_as_a_script_that_says_the_same(): void
    {
        $chat = ['start' => '2026-11-25T20:00:00Z', 'from' => 0, 'clock' => 70_000, 'lines' => [
            [0, 'bram', '!splinter'],
            [1_000, 'bram', '!splinter'],
            [20_000, 'odo', '!luck'],
            [40_000, 'tamsin', '!ahoy @Pia'],
            [60_000, 'odo', '!tidee'],
            [70_000, 'pia', '!price', true],
        ]];
        $answer = $this->post(route('rehearse.scripts.from-chat', $this->cove), [
            'chat' => json_encode($chat, JSON_THROW_ON_ERROR),
            'seed' => 'gull',
        ])->assertOk();
        $row = ScriptRow::query()->latest('id')->firstOrFail();
        $opened = route('rehearse.scripts', ['channel' => $this->cove, 'script' => $row->id]);
        $answer->assertHeader('HX-Redirect', $opened);
        self::assertStringContainsString('Splinters while Planking: 10 (12 in all)', $row->text);
        $stand = app(ScriptRuns::class)->goOn($this->cove);
        self::assertSame([], array_column($stand->broken(), 'unmet'));
        // What is remembered by now changes nothing: the script has its own.
        $this->post(route('remember.count', $this->cove), [
            'counter' => 'splinters',
            'owner' => 'category:Planking',
            'number' => 90,
        ])->assertSessionHas('notice', 'counter.splinters is 90.');
        ScriptRow::query()->update(['ran_against' => null]);
        self::assertSame([], array_column(app(ScriptRuns::class)->goOn($this->cove)->broken(), 'unmet'));
    }

    public function test_what_does_not_fit_is_refused_however_it_comes(): void
    {
        $row = $this->kept(self::DRY);
        $this->cove->scripts()->create(ScriptRow::columns(new Script('large', 'Large', str_repeat('a', 1_499_900))));
        $chat = json_encode([
            'start' => '2026-11-25T20:00:00Z', 'from' => 0, 'clock' => 0, 'lines' => [[0, 'odo', '!dry']],
        ], JSON_THROW_ON_ERROR);
        $this->post(route('rehearse.scripts.from-chat', $this->cove), ['chat' => $chat, 'seed' => 'gull'])
            ->assertOk()
            ->assertHeaderMissing('HX-Redirect')
            ->assertSee('All scripts together are too long: delete some.');
        $this->post(route('rehearse.scripts.accept', [$this->cove, $row]), ['part' => 0])
            ->assertSessionHasErrors(['text' => 'All scripts together are too long: delete some.']);
        self::assertSame(self::DRY, $row->refresh()->text);
        $this->post(route('rehearse.scripts.store', $this->cove), ['text' => self::DRY])
            ->assertSessionHasErrors(['text' => 'All scripts together are too long: delete some.']);
    }

    public function test_scripts_are_suggested_for_a_command_with_what_it_says_now_kept_and_hold(): void
    {
        $command = $this->cove->commands()->where('trigger', '!splinter')->firstOrFail();
        $this->get(route('rehearse.scripts', ['channel' => $this->cove, 'for' => $command->id]))
            ->assertOk()
            ->assertSee(route('rehearse.scripts.suggest', [$this->cove, $command]), false);
        $texts = $this->suggestedFor($command, 'the closed gate “level”', '[when counter.splinters &gt; 10]');
        $this->get(route('write.coverage', [$this->cove, $command]))->assertSee('None reaches !splinter yet.');
        $this->post(route('rehearse.scripts.suggested', $this->cove), ['texts' => $texts])
            ->assertSessionHasErrors(['chosen' => 'Choose at least one of them.']);
        $this->post(route('rehearse.scripts.suggested', $this->cove), ['texts' => $texts, 'chosen' => [0]])
            ->assertSessionHas('notice', 'The script is kept.');
        $coverage = $this->get(route('write.coverage', [$this->cove, $command]))
            ->assertSee('The one script holds.')
            ->assertSee('They reach 3 of 6 in !splinter.')
            ->assertSee('[when counter.splinters &gt; 10] never holds', false);
        preg_match('~data-marks="([^"]*)"~', (string) $coverage->getContent(), $marks);
        $marked = json_decode(html_entity_decode($marks[1] ?? ''), true);
        self::assertIsArray($marked);
        [$from, $to] = $marked['responses/0/text']['spans'][0];
        self::assertSame('[when counter.splinters > 10]', mb_substr(
            $marked['responses/0/text']['text'],
            $from,
            $to - $from,
        ));
        $rest = array_keys($texts);
        $this->post(route('rehearse.scripts.suggested', $this->cove), ['texts' => $texts, 'chosen' => $rest])
            ->assertSessionHas('notice', count($rest).' scripts are kept.');
        $this->get(route('write.coverage', [$this->cove, $command]))
            ->assertSee('hold.')
            ->assertSee('They reach all of !splinter.')
            ->assertSee('data-marks="[]"', false);
        $this->get(route('rehearse.scripts', $this->cove))
            ->assertSee('What scripts reach')
            ->assertSee('% of this pack: 6 of');
        self::assertSame([], array_column(app(ScriptRuns::class)->goOn($this->cove)->broken(), 'unmet'));
    }

    public function test_what_is_suggested_holds_with_sources_that_are_down_too(): void
    {
        foreach (['!tide' => 'the look-up tide down', '!weather' => 'the look-up weather down'] as $trigger => $has) {
            $command = $this->cove->commands()->where('trigger', $trigger)->firstOrFail();
            $texts = $this->suggestedFor($command, $has);
            $this->post(route('rehearse.scripts.suggested', $this->cove), [
                'texts' => $texts,
                'chosen' => array_keys($texts),
            ])->assertSessionHasNoErrors();
        }
        self::assertSame([], array_column(app(ScriptRuns::class)->goOn($this->cove)->broken(), 'unmet'));
    }

    public function test_what_is_sent_as_suggested_is_read_as_any_script(): void
    {
        $this->post(route('rehearse.scripts.suggested', $this->cove), [
            'texts' => [self::DRY, 'nonsense: true'],
            'chosen' => [0, 1, 7],
        ])->assertSessionHasErrors('chosen');
        self::assertSame(['Dry'], ScriptRow::query()->pluck('title')->all());
        $this->actingAs($this->person('Bystander'))
            ->post(route('rehearse.scripts.suggested', $this->cove), ['texts' => [self::DRY], 'chosen' => [0]])
            ->assertNotFound();
    }

    public function test_replies_kept_as_expected_reach_too(): void
    {
        $command = $this->cove->commands()->where('trigger', '!dry')->firstOrFail();
        $said = $this->post(route('rehearse.try', $this->cove), [
            'do' => 'say',
            'speaker' => 'tamsin',
            'line' => '!dry',
            'chat' => '',
        ])->assertOk();
        preg_match('/name="chat" value="([^"]*)"/', (string) $said->getContent(), $found);
        $chat = html_entity_decode($found[1] ?? '', ENT_QUOTES);
        $this->post(route('rehearse.expect', $this->cove), ['chat' => $chat, 'index' => '0'])->assertOk();
        $this->get(route('write.command', [$this->cove, $command]))
            ->assertSee('has-notes')
            ->assertSee('in !dry.')
            ->assertSee('[when occasion.leak] always holds');
        // It becomes a script, in the same circumstances.
        $this->get(route('rehearse.scripts', $this->cove))->assertSee('one reply, as expected', false)
            ->assertSee('make it a script');
        $this->post(route('rehearse.scripts.replies', [$this->cove, $command]))
            ->assertSessionHas('notice', 'The reply is a script now.');
        self::assertSame(0, $command->expectations()->count());
        $stand = app(ScriptRuns::class)->goOn($this->cove);
        self::assertSame(['!dry, by tamsin'], array_column($stand->scripts, 'title'));
        self::assertSame([], array_column($stand->broken(), 'unmet'));
        $this->get(route('write.coverage', [$this->cove, $command]))->assertSee('They reach 2 of 6 in !dry.');
        // Taken back, it is what it was.
        $this->get(route('rehearse.scripts', $this->cove))->assertSee('was made of a kept reply');
        $change = $this->cove->definitionChanges()->latest('id')->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $change]))->assertSessionHasNoErrors();
        self::assertSame(0, $this->cove->scripts()->count());
        $this->get(route('rehearse.scripts', $this->cove))->assertSee('one reply, as expected', false);
    }

    public function test_one_some_or_all_run_again(): void
    {
        $rows = [$this->kept(self::DRY), $this->kept(self::DRY), $this->kept(self::DRY)];
        app(ScriptRuns::class)->goOn($this->cove);
        $again = fn (array $chosen) => $this->post(route('rehearse.scripts.again', $this->cove), ['chosen' => $chosen]);
        $again([$rows[0]->id, $rows[2]->id])->assertRedirect();
        self::assertSame(2, app(ScriptRuns::class)->scripts($this->cove)->left);
        app(ScriptRuns::class)->goOn($this->cove);
        $again([])->assertRedirect();
        self::assertSame(3, app(ScriptRuns::class)->scripts($this->cove)->left);
        $again(['x'])->assertSessionHasErrors();
    }

    public function test_each_moment_of_a_script_stands_in_its_picture_with_what_came_of_it(): void
    {
        $text = self::DRY."  - line: '+5s tamsin: !dry'\n    expect: [{says_nothing: true}]\n"
            ."  - at: +6s\n    happens: {raid: 8}\n";
        $row = $this->kept($text);
        $page = $this->get(route('rehearse.scripts', ['channel' => $this->cove, 'script' => $row->id]))
            ->assertSee('class="mark is-said is-unmet"', false)
            ->assertSee('aria-label="+0s tamsin, !dry: said, not as expected"', false)
            ->assertSee('aria-label="+5s tamsin, !dry: held back"', false)
            ->assertSee('is-happened', false);
        self::assertSame(1, substr_count((string) $page->getContent(), 'class="ring"'));
    }

    public function test_whoever_is_forgotten_goes_from_scripts_too_and_the_cast_stays(): void
    {
        DB::table('viewers')->insert([
            ['channel_id' => $this->cove->id, 'service' => 'harbour', 'service_id' => '81', 'login' => 'quill_r',
                'name' => 'Quill', 'levels' => '[]', 'tier' => 0, 'logins_before' => '[]'],
            ['channel_id' => $this->cove->id, 'service' => 'harbour', 'service_id' => '82', 'login' => 'tamsin',
                'name' => 'Tamsin', 'levels' => '[]', 'tier' => 0, 'logins_before' => '[]'],
        ]);
        $text = strtr(self::DRY, ['tamsin: !dry' => 'tamsin: !dry @quill_r, says quillwort and QUILL']);
        $row = $this->kept($text);
        $number = static fn (string $login): int => (int) DB::table('viewers')->where('login', $login)->value('id');
        self::assertTrue(app(Erasing::class)->of($this->cove, $number('quill_r')));
        self::assertTrue(app(Erasing::class)->of($this->cove, $number('tamsin')));
        self::assertStringContainsString(
            'tamsin: !dry @someone_who_left, says quillwort and someone_who_left',
            $row->refresh()->text,
        );
        self::assertSame(0, DB::table('definition_changes')->where('after', 'like', '%quill\\_r%')->count());
    }

    /** @return list<string> */
    private function suggestedFor(CommandRow $command, string ...$has): array
    {
        $page = $this->get(route('rehearse.scripts.suggest', [$this->cove, $command]))->assertOk();
        foreach ($has as $one) {
            $page->assertSee($one, false);
        }
        preg_match_all('~<textarea name="texts[^>]*>(.*?)</textarea>~s', (string) $page->getContent(), $found);
        self::assertNotSame([], $found[1]);

        return array_map(html_entity_decode(...), $found[1]);
    }

    public function test_what_is_wrong_is_said_with_its_place_and_nothing_typed_is_lost(): void
    {
        $text = strtr(self::DRY, ['+0s tamsin:' => 'tamsin']);
        $this->from(route('rehearse.scripts', ['channel' => $this->cove, 'new' => 1]))
            ->post(route('rehearse.scripts.store', $this->cove), ['text' => $text])
            ->assertSessionHasErrors('text');
        $this->get(route('rehearse.scripts', ['channel' => $this->cove, 'new' => 1]))
            ->assertSee('chat, 1, line: This is no line of a chat')
            ->assertSee('Not yet.');
        $this->post(route('rehearse.scripts.run', $this->cove), ['text' => self::DRY])->assertSee('It does not hold.');
        self::assertSame(0, ScriptRow::query()->count());
    }

    public function test_scripts_are_in_the_pack_and_their_deleting_is_taken_back(): void
    {
        $row = $this->kept(self::DRY);
        $this->delete(route('rehearse.scripts.destroy', [$this->cove, $row]))->assertRedirect();
        self::assertSame(0, ScriptRow::query()->count());
        $change = $this->cove->definitionChanges()->latest('id')->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $change]))->assertRedirect();
        self::assertSame(self::DRY, ScriptRow::query()->firstOrFail()->text);
        $document = PackFormat::write(app(Assembler::class)->document($this->cove));
        self::assertSame([], PackFormat::read($document)[1]);
        $document = strtr($document, ['"login": "lantern_cove"' => '"login": "far_cove"']);
        $other = app(PackRepository::class)->make(PackFormat::read($document)[0], $this->person('Pia'), []);
        self::assertSame([self::DRY], $other->scripts()->pluck('text')->all());
    }

    private function kept(string $text): ScriptRow
    {
        $this->post(route('rehearse.scripts.store', $this->cove), ['text' => $text])->assertSessionHasNoErrors();

        return ScriptRow::query()->latest('id')->firstOrFail();
    }
}
