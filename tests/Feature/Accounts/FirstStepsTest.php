<?php

declare(strict_types=1);

namespace Tests\Feature\Accounts;

use App\Accounts\FirstStep;
use App\Accounts\Role;
use App\Publish\Editions;
use Tests\Feature\TestCase;

/** The way to a first command, and what waits in which room. */
final class FirstStepsTest extends TestCase
{
    public function test_each_step_is_ticked_when_it_is_taken_and_the_way_can_be_hidden(): void
    {
        $this->actingAs($this->wren);
        $shown = fn (): string => (string) $this->get(route('write', $this->cove))->getContent();
        self::assertStringContainsString('see it answered in the real chat', $shown());
        self::assertSame(0, substr_count($shown(), '(done)'));
        $this->post(route('rehearse.try', $this->cove), ['do' => 'say', 'speaker' => 'pia', 'line' => '!tide']);
        self::assertSame(1, substr_count($shown(), '(done)'));
        $this->post(route('write.store', $this->cove), $this->fields());
        $this->post(route('publish.store', $this->cove), ['note' => '']);
        self::assertSame(4, substr_count($shown(), '(done)'));
        $this->post(route('first-steps.dismiss'));
        self::assertStringNotContainsString('see it answered', $shown());
        $this->actingAs($this->member('Rue', Role::Reader));
        self::assertStringNotContainsString('see it answered', $shown());
    }

    public function test_they_are_gone_once_all_are_taken(): void
    {
        foreach (FirstStep::cases() as $step) {
            self::assertTrue(FirstStep::areShown($this->wren));
            $step->take($this->wren);
        }
        self::assertFalse(FirstStep::areShown($this->wren->refresh()));
    }

    public function test_what_waits_is_counted_and_one_command_is_published_from_its_page(): void
    {
        $this->actingAs($this->wren);
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $row = $this->command('!tide');
        $waiting = function () use ($row): array {
            $told = $this->post(route('publish.waiting', $this->cove), ['command' => (string) $row->id])->json();

            return is_array($told) ? [$told['changes'], $told['isWaiting']] : [];
        };
        self::assertSame([0, false], $waiting());
        foreach (['!tide', '!dry'] as $trigger) {
            $this->put(route('write.update', [$this->cove, $this->command($trigger)]), $this->fields([
                'trigger' => $trigger,
                'revision' => (string) $this->command($trigger)->revision,
            ]));
        }
        self::assertSame([2, true], $waiting());
        $this->from(route('write.command', [$this->cove, $row]))
            ->post(route('publish.store', $this->cove), [
                'chosen' => '1',
                'back' => '1',
                'changes' => [$row->stable_id],
            ])
            ->assertRedirect(route('write.command', [$this->cove, $row]))
            ->assertSessionHas('notice', 'Edition 2 is on the air.');
        self::assertSame([1, false], $waiting());
    }
}
