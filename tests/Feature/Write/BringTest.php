<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Storage\CommandRepository;
use Illuminate\Testing\TestResponse;
use Tests\Feature\TestCase;

final class BringTest extends TestCase
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
        $page = $this->post(route('write.bring', $this->cove), [
            'pasted' => self::PASTED,
            'skip_first' => '1',
            'look' => '1',
        ])->assertOk();
        $page
            ->assertSee('2 commands would be kept')
            ->assertSee('Nothing is named caler.')
            ->assertSee('!tide is set off by another command here already.')
            ->assertSee('!BELL stands above already.')
            ->assertSee('It has nothing to say.')
            ->assertSee('Mend all that can be mended');
        self::assertSame(18, $this->cove->commands()->count());
    }

    public function test_one_click_mends_and_what_was_typed_since_stays(): void
    {
        $fields = [
            'pasted' => self::PASTED,
            'skip_first' => '1',
            'columns' => '0 1',
            'texts' => [self::key('!bell', 'Ding, [caler]!') => 'Ding dong, [caler]!'],
        ];
        $this->post(route('write.bring', $this->cove), ['mend' => self::key('!bell', 'Ding, [caler]!')] + $fields)
            ->assertSee('Ding dong, [caller]!')
            ->assertSee('far.example/[words],');
        $this->post(route('write.bring', $this->cove), ['mend' => 'all'] + $fields)
            ->assertSee('Ding dong, [caller]!')
            ->assertSee('far.example/[words | url] ,');
    }

    public function test_what_is_kept_is_saved_with_its_history_and_what_is_left_out_is_not(): void
    {
        $fields = [
            'pasted' => self::PASTED,
            'skip_first' => '1',
            'columns' => '0 1',
            'texts' => [
                self::key('!bell', 'Ding, [caler]!') => 'Ding, [caller]!',
                self::key(...self::FAR) => 'See [caller].',
            ],
            'bring' => '1',
        ];
        $this->post(route('write.bring', $this->cove), ['leave' => [self::key(...self::FAR)]] + $fields)
            ->assertRedirect(route('write', $this->cove))
            ->assertSessionHas('notice', 'One command was brought along.');
        self::assertSame(19, $this->cove->commands()->count());
        self::assertSame('Ding, [caller]!', CommandRepository::toCore($this->command('!bell'))->responses[0]->text());
        self::assertSame(1, $this->cove->changes()->where('command_id', $this->command('!bell')->id)->count());
    }

    public function test_other_columns_are_chosen_by_a_click_and_begin_anew(): void
    {
        $pasted = "yes,!bell,ding\nno,!gong,dong";
        $page = $this->post(route('write.bring', $this->cove), [
            'pasted' => $pasted,
            'columns' => '1 2',
            'texts' => [self::key('yes', '!bell', 'ding') => 'changed'],
            'text_column' => '0',
            'look' => '1',
        ]);
        $page->assertSee('>yes</textarea>', false)->assertDontSee('changed');
        $this->post(route('write.bring', $this->cove), [
            'pasted' => $pasted,
            'trigger_column' => '99',
            'look' => '1',
        ])->assertSee('>ding</textarea>', false);
        $this->get(route('write.bring', $this->cove))->assertSee('Paste lines like');
    }

    public function test_what_was_typed_belongs_to_what_a_row_holds_and_not_to_its_number(): void
    {
        $look = fn (string $pasted, array $texts): TestResponse => $this->post(route('write.bring', $this->cove), [
            'pasted' => $pasted,
            'columns' => '0 1',
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
        return hash('xxh128', implode("\x1F", $cells)).'-1';
    }
}
