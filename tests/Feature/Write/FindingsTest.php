<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Accounts\Role;
use App\Models\CommandRow;
use App\Storage\CommandRepository;
use SilverParrot\Hearing\Steps\Say;
use Tests\Feature\TestCase;

final class FindingsTest extends TestCase
{
    public function test_the_demo_has_no_findings(): void
    {
        $this->actingAs($this->wren)->get(route('write.findings', $this->cove))->assertOk()->assertSee('No findings');
    }

    public function test_findings_of_the_whole_pack_stand_on_one_page_and_are_mended_there(): void
    {
        $row = $this->bell('Ring for [caler], [words or "all" | uper | cut 20]!');
        $this->actingAs($this->wren);
        $this->get(route('write.findings', $this->cove))
            ->assertSee('2 findings')
            ->assertSeeInOrder([
                '!bell',
                'Nothing is named caler.',
                'Did you mean caller?',
                'There is no filter named uper.',
            ]);
        $this->mend($row, 'unknown-name', 10)->assertSessionHas('notice', '!bell is mended.');
        self::assertSame(
            'Ring for [caller], [words or "all" | uper | cut 20]!',
            CommandRepository::toCore($row->refresh()->load('responses'))->responses[0]->text(),
        );
        $this->get(route('write.findings', $this->cove))->assertSee('One finding')->assertDontSee('Nothing is named');
        // The same press again mends nothing that is not there, and neither does one that comes after somebody else's.
        $this->mend($row, 'unknown-name', 10)->assertSessionHas(
            'notice',
            '!bell has changed since; nothing was mended.',
        );
        $this->mend($row, 'unknown-filter', 37, 1)->assertSessionHas(
            'notice',
            'Somebody saved !bell meanwhile; nothing was mended. Look at it and press again.',
        );
        self::assertStringContainsString(
            'uper',
            CommandRepository::toCore($row->refresh()->load('responses'))->responses[0]->text(),
        );
    }

    public function test_a_page_holds_only_so_many_and_says_how_many_more_there_are(): void
    {
        $this->bell('[caler]');
        CommandRow::factory()->for($this->cove)->count(101)->saying('[caler]')->create();
        $this->actingAs($this->wren)
            ->get(route('write.findings', $this->cove))
            ->assertSee('100 findings')
            ->assertSee('2 more commands have findings');
    }

    public function test_who_may_only_look_sees_findings_and_mends_nothing(): void
    {
        $row = $this->bell('Ring for [caler]!');
        $this->actingAs($this->member('Pia', Role::Reader))
            ->get(route('write.findings', $this->cove))
            ->assertSee('Nothing is named caler.')
            ->assertDontSee('aria-label="Did you mean', false);
        $this->mend($row, 'unknown-name', 10)->assertForbidden();
    }

    private function bell(string $text): CommandRow
    {
        return app(CommandRepository::class)->save($this->cove, null, Say::on('!bell', $text), $this->wren, null);
    }

    private function mend(
        CommandRow $row,
        string $code,
        int $from,
        ?int $revision = null,
    ): \Illuminate\Testing\TestResponse {
        return $this->post(route('write.mend', [$this->cove, $row]), [
            'at' => '/responses/0/text',
            'code' => $code,
            'from' => $from,
            'revision' => $revision ?? $row->refresh()->revision,
        ]);
    }
}
