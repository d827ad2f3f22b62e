<?php

declare(strict_types=1);

namespace Tests\Feature\Storage;

use App\Accounts\Role;
use App\Models\DefinitionChange;
use App\Storage\Definitions\DefinitionHistory;
use Tests\Feature\TestCase;

/** What is no command has its history, its undo, and a guard against two people saving at once. */
final class DefinitionsTest extends TestCase
{
    public function test_an_emote_that_was_dropped_comes_back_as_it_was_and_one_that_was_added_goes(): void
    {
        $this->actingAs($this->wren);
        $emote = $this->cove->emotes()->where('word', 'coveWave')->firstOrFail();
        $was = $emote->only(['stable_id', 'word', 'picture', 'any_of', 'at_least']);
        $this->delete(route('remember.emotes.drop', [$this->cove, $emote]));
        $this->get(route('remember', $this->cove))->assertSee('coveWave was deleted')->assertSee('Changed by Wren');
        $this->undo()->assertSessionHas('notice', 'Undone.');
        self::assertSame($was, $this->cove->emotes()->where('word', 'coveWave')->firstOrFail()->only(array_keys($was)));
        $this->post(route('remember.emotes', $this->cove), ['word' => 'coveBell', 'level' => 'everyone']);
        $this->undo();
        self::assertSame(0, $this->cove->emotes()->where('word', 'coveBell')->count());
    }

    public function test_limits_are_put_back_unless_they_changed_again_and_two_who_save_do_not_overwrite_each_other(): void
    {
        $this->actingAs($this->wren);
        $flood = fn (string $person, int $seen) => $this->put(route('write.flood', $this->cove), [
            'person' => $person,
            'channel' => '20',
            'seen' => (string) $seen,
        ]);
        $flood('7', 0)->assertSessionHas('notice', 'Saved in the draft; publish it to put it on the air.');
        $first = (int) DefinitionChange::query()->max('id');
        $flood('8', 0)
            ->assertSessionHasErrors([
                'limits' => 'Somebody changed this meanwhile, and nothing was overwritten. Look at what is there now, '
                    .'and save again.',
            ])
            ->assertSessionHasInput('person', '8');
        self::assertSame(7, $this->cove->refresh()->flood_person);
        $flood('9', $first);
        $this->undo($first)->assertSessionHas(
            'notice',
            'It has changed again since, so nothing was taken back; undo the later change first.',
        );
        $this->undo();
        self::assertSame(7, $this->cove->refresh()->flood_person);
        $this->undo($first);
        self::assertSame(5, $this->cove->refresh()->flood_person);
    }

    public function test_a_member_comes_back_with_their_role_and_nobody_makes_themselves_the_streamer(): void
    {
        $ilse = $this->member('Ilse', Role::Author);
        $this->actingAs($this->wren)->delete(
            route('members.destroy', [
                $this->cove,
                $this->cove->memberships()->where('user_id', $ilse->id)->firstOrFail(),
            ]),
        );
        $this->get(route('members', $this->cove))->assertSee('Ilse was removed');
        $change = DefinitionChange::query()->firstOrFail();
        $other = $this->member('Bram', Role::Author);
        $this->actingAs($other)->post(route('definitions.undo', [$this->cove, $change]))->assertForbidden();
        $this->actingAs($this->wren);
        $this->undo();
        self::assertSame(Role::Author, $this->cove->memberships()->where('user_id', $ilse->id)->firstOrFail()->role);
        $change
            ->refresh()
            ->update([
                'before' => ['role' => 'streamer', 'name' => 'Ilse'],
                'after' => ['role' => 'author', 'name' => 'Ilse'],
                'undone_at' => null,
            ]);
        $this->undo($change->id);
        self::assertSame(
            0,
            $this->cove->memberships()->where('user_id', $ilse->id)->count(),
            'a role that no undo gives is none',
        );
        self::assertSame(1, $this->cove->memberships()->where('role', Role::Streamer)->count());
    }

    public function test_the_connection_goes_back_and_its_secret_stands_in_no_history(): void
    {
        $this->actingAs($this->wren);
        $fields = [
            'where' => 'server',
            'host' => 'chat.example',
            'port' => '6697',
            'tls' => '1',
            'room' => 'cove',
            'nick' => 'parrot',
            'sign_in' => 'account',
            'account' => 'parrot',
            'secret' => 'oakum and tar',
            'seen' => '0',
        ];
        $this->put(route('publish.connection', $this->cove), $fields)->assertRedirect();
        self::assertStringNotContainsString('oakum', (string) json_encode(DefinitionChange::query()->get()));
        $this->from(route('publish.connection', $this->cove))
            ->followingRedirects()
            ->put(route('publish.connection', $this->cove), ['host' => 'other.example'] + $fields)
            ->assertSee('Somebody changed this meanwhile')
            ->assertSee('other.example');
        $this->undo();
        self::assertNull($this->cove->refresh()->chat_server);
        self::assertNull($this->cove->chat_secret);
        $this->put(route('publish.keep', $this->cove), ['keep_days' => '400', 'seen' => '0'])->assertSessionHasErrors(
            'keep_days',
        );
        $this->put(route('publish.keep', $this->cove), ['keep_days' => '90', 'seen' => '0'])->assertSessionHas(
            'notice',
            'Lines are kept for 90 days.',
        );
        $this->undo();
        self::assertSame(30, $this->cove->refresh()->keep_days);
    }

    public function test_a_change_of_another_channel_is_not_found_and_undone_once(): void
    {
        $this->actingAs($this->wren)->put(route('write.flood', $this->cove), [
            'person' => '7',
            'channel' => '20',
            'seen' => '0',
        ]);
        $change = DefinitionChange::query()->firstOrFail();
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia)->post(route('definitions.undo', [$far, $change]))->assertNotFound();
        $this->actingAs($this->wren);
        $this->undo();
        $this->undo($change->id)->assertSessionHas(
            'notice',
            'It has changed again since, so nothing was taken back; undo the later change first.',
        );
        foreach (DefinitionHistory::kinds() as $kind) {
            self::assertSame($kind->key(), DefinitionHistory::kind($kind->key())?->key());
        }
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function undo(?int $change = null): \Illuminate\Testing\TestResponse
    {
        return $this->post(
            route('definitions.undo', [
                $this->cove,
                $change ?? DefinitionChange::query()->whereNull('undone_at')->orderByDesc('id')->firstOrFail()->id,
            ]),
        );
    }
}
