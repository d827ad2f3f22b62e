<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Storage\CommandRepository;
use Illuminate\Testing\TestResponse;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use Tests\Demo;
use Tests\Feature\TestCase;

final class ImportTest extends TestCase
{
    private const PASTED = "name;what\n!bell;Ding, [caler]!\n!tide;taken already\n!far;See "
        ."https://far.example/[words], yes\n!BELL;twice\n;nothing\n!mute;";

    private const FAR = ['!far', 'See https://far.example/[words], yes'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_what_is_pasted_is_looked_at_before_anything_is_kept(): void
    {
        $page = $this->post(route('write.import', $this->cove), [
            'pasted' => self::PASTED,
            'look' => '1',
        ])->assertOk();
        $page
            ->assertSee('6 commands')
            ->assertSee('Import 2 commands')
            ->assertSee('Nothing is named caler.')
            ->assertSee('!tide is used by another command here already.')
            ->assertSee('!BELL stands above already.')
            ->assertSee('It has nothing to say.')
            ->assertSee('Fix all 2 that can be fixed');
        self::assertSame(Demo::commands(), $this->cove->commands()->count());
    }

    public function test_one_click_mends_and_what_was_typed_since_stays(): void
    {
        $fields = [
            'pasted' => self::PASTED,
            'has_heading' => '1',
            'columns' => ['trigger', 'response'],
            'texts' => [self::key('!bell', 'Ding, [caler]!') => 'Ding dong, [caler]!'],
        ];
        $this->post(route('write.import', $this->cove), ['mend' => self::key('!bell', 'Ding, [caler]!')] + $fields)
            ->assertSee('Ding dong, [caller]!')
            ->assertSee('far.example/[words],');
        $this->post(route('write.import', $this->cove), ['mend' => 'all'] + $fields)
            ->assertSee('Ding dong, [caller]!')
            ->assertSee('far.example/[words | url] ,');
    }

    public function test_what_is_kept_is_saved_with_its_history_and_what_is_left_out_is_not(): void
    {
        $fields = [
            'pasted' => self::PASTED,
            'has_heading' => '1',
            'columns' => ['trigger', 'response'],
            'texts' => [
                self::key('!bell', 'Ding, [caler]!') => 'Ding, [caller]!',
                self::key(...self::FAR) => 'See [caller].',
            ],
            'import' => '1',
        ];
        $this->post(route('write.import', $this->cove), ['leave' => [self::key(...self::FAR)]] + $fields)
            ->assertRedirect(route('write.import', $this->cove))
            ->assertSessionHas('notice', 'One command imported. 5 commands stayed behind.');
        $this->get(route('write.import', $this->cove))
            ->assertSee('5 commands')
            ->assertSee('>See [caller].</textarea>', false)
            ->assertDontSee('Ding');
        self::assertSame(Demo::commands() + 1, $this->cove->commands()->count());
        self::assertSame('Ding, [caller]!', CommandRepository::toCore($this->command('!bell'))->responses[0]->text());
        self::assertSame(1, $this->cove->changes()->where('command_id', $this->command('!bell')->id)->count());
    }

    public function test_other_columns_are_chosen_by_a_click_and_begin_anew(): void
    {
        $pasted = "yes,!bell,ding\nno,!gong,dong";
        $look = fn (array $fields): TestResponse => $this->post(
            route('write.import', $this->cove),
            ['pasted' => $pasted, 'look' => '1'] + $fields,
        );
        $look([])->assertSee('>ding</textarea>', false)->assertSee('Import 2 commands');
        $look([
            'columns' => ['response', 'trigger', ''],
            'texts' => [self::key('yes', '!bell', 'ding') => 'changed'],
        ])->assertSee('>yes</textarea>', false)->assertDontSee('changed')->assertSee('Left out: column 3.');
        $look(['columns' => ['trigger']])->assertSee('>ding</textarea>', false);
        $look(['columns' => ['no such thing', '', '']])->assertSee('It has nothing to say.');
        $this->get(route('write.import', $this->cove))->assertSee('Paste lines like');
    }

    public function test_levels_and_cooldowns_come_along_and_what_cannot_be_read_is_not_dropped(): void
    {
        $pasted = "command,reply,role,wait,user cooldown,aliases,uses\n"
            ."!caulk,Caulk it.,moderators,15,1 min,!oakum,4\n"
            ."!raise,Up!,captain,15,,,9\n"
            .'!lower,Down!,,soon,,,0';
        $look = fn (array $fields): TestResponse => $this->post(
            route('write.import', $this->cove),
            ['pasted' => $pasted] + $fields,
        );
        $look(['look' => '1'])
            ->assertSee('Column 4 (“wait”) has numbers without a unit')
            ->assertSee('The cooldown 15 has no unit. Choose one for its column.')
            ->assertSee('“captain” is not a level.')
            ->assertSee('“soon” is not a cooldown.')
            ->assertSee('Left out: column 7 (“uses”).')
            ->assertSee('Import 0 commands');
        $fields = [
            'has_heading' => '1',
            'columns' => ['trigger', 'response', 'level', 'cooldown', 'person_cooldown', 'aliases', ''],
            'units' => [3 => 'seconds'],
        ];
        $look($fields + ['look' => '1'])
            ->assertSee('Moderators and up, every 15 s, each person once a minute')
            ->assertSee('Import one command');
        $look($fields + ['import' => '1'])->assertSessionHas(
            'notice',
            'One command imported. 2 commands stayed behind.',
        );
        $caulk = CommandRepository::toCore($this->command('!caulk'));
        self::assertSame(['!oakum'], $caulk->triggers->aliases);
        self::assertSame('moderators and up', $caulk->gates->get(ForLevels::class)->rule->inWords());
        self::assertEquals(new Cooldown(15, 60), $caulk->gates->get(Cooldown::class));
    }

    public function test_triggers_are_changed_on_the_page_and_an_import_is_one_undo(): void
    {
        $pasted = "!tide\tTide again\n!oakum\tOakum";
        $key = self::key('!tide', 'Tide again');
        $this->post(route('write.import', $this->cove), [
            'pasted' => $pasted,
            'columns' => ['trigger', 'response'],
            'triggers' => [$key => '!spring'],
            'import' => '1',
        ])->assertRedirect(route('write', $this->cove))->assertSessionHas('notice', '2 commands imported.');
        $undo = (string) session('undo');
        self::assertSame(Demo::commands() + 2, $this->cove->commands()->count());
        $row = $this->command('!oakum');
        $this->post(route('write.switch', [$this->cove, $row]));
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia)->post($undo)->assertNotFound();
        $this->post(str_replace("channels/{$this->cove->id}", "channels/{$far->id}", $undo));
        self::assertSame(Demo::commands() + 2, $this->cove->commands()->count());
        $this->actingAs($this->wren)
            ->post($undo)
            ->assertSessionHas('notice', 'One command deleted; one command changed since, and kept.');
        self::assertSame(Demo::commands() + 1, $this->cove->commands()->count());
    }

    public function test_what_was_typed_belongs_to_what_a_row_holds_and_not_to_its_number(): void
    {
        $look = fn (string $pasted, array $texts): TestResponse => $this->post(route('write.import', $this->cove), [
            'pasted' => $pasted,
            'columns' => ['trigger', 'response'],
            'texts' => $texts,
            'look' => '1',
        ]);
        $typed = [self::key('!two', 'Second') => 'Second, and more', self::key('bad trigger', 'Bad') => 'Bad'];
        $look("!one\tFirst\nbad trigger\tBad\n!two\tSecond\n!three\tThird", $typed)
            ->assertSeeInOrder(['!one', 'First', 'Bad', '!two', 'Second, and more', '!three', 'Third']);
        $look("!one\tFirst\n!two\tSecond\n!three\tThird", $typed)
            ->assertSeeInOrder(['!one', '>First<', '!two', '>Second, and more<', '!three', '>Third<'], false)
            ->assertDontSee('>Bad<', false);
        $look("!four\tFourth\n!five\tFifth", $typed)
            ->assertSeeInOrder(['!four', '>Fourth<', '!five', '>Fifth<'], false);
        // Two that are alike are told apart by which comes first.
        $first = self::key('!one', 'First');
        $twice = [$first => 'the first', substr($first, 0, -1).'2' => 'the second'];
        $look("!one\tFirst\n!one\tFirst", $twice)->assertSeeInOrder(['>the first<', '>the second<'], false);
    }

    private static function key(string ...$cells): string
    {
        return hash('xxh128', implode("\x1F", [...$cells, 0, 1])).'-1';
    }
}
