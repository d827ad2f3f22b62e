<?php

declare(strict_types=1);

namespace Tests\Feature\Rehearse;

use App\Accounts\Role;
use App\Models\CastMemberRow;
use Illuminate\Testing\TestResponse;
use Tests\Feature\TestCase;

/** The simulated people: who they are, and that the simulated chat knows them so. */
final class CastTest extends TestCase
{
    private const RUE = [
        'login' => '@Rue',
        'name' => 'Rue',
        'levels' => ['follower', 'subscriber'],
        'tier' => '2',
        'habits' => 'Asks after the glue.',
        'link' => 'https://harbour.lantern-cove.example/rue',
        'category' => 'Painting',
        'followed' => '2026-10-25',
        'record' => ['pebbles' => '77', 'boat' => ''],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_person_is_added_and_the_chat_knows_their_record_and_details(): void
    {
        $this->post(route('rehearse.cast.store', $this->cove), self::RUE)
            ->assertRedirect(route('rehearse', $this->cove))
            ->assertSessionHas('notice', 'Rue was added.');
        $this->get(route('rehearse', $this->cove))
            ->assertSee('Asks after the glue.')
            ->assertSee('follower, subscriber, tier 2')
            ->assertSee('rue was added');
        $said = fn (string $response): TestResponse => $this->post(
            route('rehearse.try', $this->cove),
            $this->fields(['responses' => [['text' => $response, 'weight' => '1']]])
                + ['do' => 'say', 'speaker' => 'rue', 'line' => '!wave', 'chat' => ''],
        );
        $said('[caller.pebbles] [caller.tier] [caller.category] [caller.link]')->assertSee(
            '77 2 Painting <a href="https://harbour.lantern-cove.example/rue"',
            false,
        );
        $said('For [since caller.followed | in days] days')->assertSee('For 31 days');
        $said('[caller.boat or "no boat"]')->assertSee('no boat');
    }

    public function test_who_follows_nobody_has_followed_since_no_day(): void
    {
        $this->post(route('rehearse.try', $this->cove), $this->fields([
            'responses' => [['text' => '[caller.followed or "not yet"]', 'weight' => '1']],
        ]) + ['do' => 'say', 'speaker' => 'tamsin', 'line' => '!wave', 'chat' => ''])->assertSee('not yet');
    }

    public function test_a_person_is_changed_removed_and_comes_back(): void
    {
        $odo = $this->odo();
        $this->get(route('rehearse.cast.edit', [$this->cove, $odo]))
            ->assertSee('value="Second Breakfast"', false)
            ->assertSee('value="2025-01-19"', false);
        $this->put(route('rehearse.cast.update', [$this->cove, $odo]), ['login' => 'odo', 'name' => 'Odo of the Oars']);
        self::assertSame(['Odo of the Oars', [], 0], [$this->odo()->name, $this->odo()->levels, $this->odo()->tier]);
        $this->put(route('rehearse.cast.update', [$this->cove, $this->odo()]), ['login' => 'oda', 'name' => 'Oda']);
        $oda = $this->cove->castMembers()->where('login', 'oda')->firstOrFail();
        self::assertSame($odo->position, $oda->position);
        $this->delete(route('rehearse.cast.destroy', [$this->cove, $oda]))->assertSessionHas(
            'notice',
            'Oda was removed.',
        );
        self::assertSame(8, $this->cove->castMembers()->count());
        $changes = \App\Models\DefinitionChange::query()->where('kind', 'cast')->orderByDesc('id')->get();
        foreach ($changes as $change) {
            $this->post(route('definitions.undo', [$this->cove, $change]));
        }
        self::assertSame(
            ['Odo', 2, 'https://harbour.lantern-cove.example/odo'],
            [$this->odo()->name, $this->odo()->tier, $this->odo()->details['link'] ?? ''],
        );
    }

    public function test_what_is_wrong_is_told_beside_its_field_and_stays_typed(): void
    {
        $wrong = fn (array $fields): TestResponse => $this->post(
            route('rehearse.cast.store', $this->cove),
            $fields + self::RUE,
        )->assertRedirect(route('rehearse', [$this->cove, 'person' => 'new']));
        $wrong(['login' => ''])->assertSessionHasErrors(['login' => 'Enter a login, for example tamsin.']);
        $wrong(['login' => 'ODO'])->assertSessionHasErrors(['login' => 'odo is in the cast already.']);
        $wrong(['login' => 'two words'])->assertSessionHasErrors('login');
        $wrong(['link' => 'javascript:alert(1)'])->assertSessionHasErrors('link');
        $wrong(['followed' => '2031-01-01'])->assertSessionHasErrors('followed');
        $wrong(['levels' => ['subscriber']])->assertSessionHasErrors([
            'followed' => 'Only a follower has followed since some day.',
        ]);
        $wrong(['levels' => ['captain']])->assertSessionHasErrors('levels.0');
        $wrong(['record' => ['pebbles' => '1', 'invented' => '2']])->assertSessionHasErrors('record');
        $this->get(route('rehearse', [$this->cove, 'person' => 'new']))->assertSee('Asks after the glue.');
        self::assertSame(9, $this->cove->castMembers()->count());
    }

    public function test_readers_look_and_nobody_reaches_another_channels_cast(): void
    {
        $odo = $this->odo();
        $this->actingAs($this->member('Rue', Role::Reader));
        $this->get(route('rehearse', $this->cove))->assertOk()->assertDontSee('Add a person');
        $this->delete(route('rehearse.cast.destroy', [$this->cove, $odo]))->assertForbidden();
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia);
        $this->delete(route('rehearse.cast.destroy', [$far, $odo]))->assertNotFound();
        $this->get(route('rehearse', $this->cove))->assertNotFound();
    }

    private function odo(): CastMemberRow
    {
        return $this->cove->castMembers()->where('login', 'odo')->firstOrFail();
    }
}
