<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Storage\CommandRepository;
use Tests\Feature\TestCase;

final class BringTest extends TestCase
{
    private const PASTED = "name;what\n!bell;Ding, [caler]!\n!tide;taken already\n!far;See "
        ."https://far.example/[words], yes\n!BELL;twice\n;nothing\n!mute;";

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
            'texts' => [1 => 'Ding dong, [caler]!'],
        ];
        $this->post(route('write.bring', $this->cove), ['mend' => '1'] + $fields)
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
            'texts' => [1 => 'Ding, [caller]!', 3 => 'See [caller].'],
            'bring' => '1',
        ];
        $this->post(route('write.bring', $this->cove), ['leave' => ['3']] + $fields)
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
            'texts' => [0 => 'changed'],
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
}
