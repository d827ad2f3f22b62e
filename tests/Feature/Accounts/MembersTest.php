<?php

declare(strict_types=1);

namespace Tests\Feature\Accounts;

use App\Accounts\InvitationMail;
use App\Accounts\Role;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Support\Facades\Notification;
use Tests\Feature\TestCase;

final class MembersTest extends TestCase
{
    public function test_whoever_is_given_the_link_comes_in_once_and_goes_out_again(): void
    {
        $link = $this->invite('author');
        $odo = $this->person('Odo');
        $this->actingAs($odo)
            ->get($link)
            ->assertOk()
            ->assertSee('invites you to Lantern Cove, as author')
            ->assertSee('Join as Odo');
        $this->call('HEAD', $link)->assertOk();
        $this->post($link)->assertRedirect(route('write', $this->cove));
        self::assertSame(Role::Author, $odo->roleIn($this->cove));
        $pia = $this->person('Pia');
        $this->actingAs($pia)
            ->post($link)
            ->assertSessionHas('notice', 'That invitation was used already, or is too old. Ask for another one.');
        self::assertNull($pia->roleIn($this->cove));
        $this->get($link)->assertNotFound()->assertSee('This invitation is over');
        $this->actingAs($this->wren)
            ->delete(route('members.destroy', [$this->cove, $odo->memberships()->firstOrFail()]))
            ->assertRedirect();
        $this->actingAs($odo)->get(route('write', $this->cove))->assertNotFound();
    }

    public function test_an_invitation_runs_out_and_can_be_withdrawn(): void
    {
        $late = $this->invite('reader');
        $this->travel(8)->days();
        $this->actingAs($this->person('Odo'))->post($late)->assertRedirect(route('channels'));
        $withdrawn = $this->invite('reader');
        $this->actingAs($this->wren)
            ->get(route('members', $this->cove))
            ->assertSee('Invited as reader')
            ->assertDontSee(basename($withdrawn));
        $this->delete(route('members.withdraw', [$this->cove, Invitation::query()->firstOrFail()]))->assertRedirect();
        $this->actingAs($this->person('Pia'))->post($withdrawn)->assertRedirect(route('channels'));
        self::assertSame(1, Membership::query()->where('channel_id', $this->cove->id)->count());
    }

    public function test_an_invitation_that_could_not_be_mailed_is_there_to_be_shared(): void
    {
        config([
            'mail.default' => 'smtp',
            'mail.mailers.smtp' => ['transport' => 'smtp', 'host' => '127.0.0.1', 'port' => 1, 'timeout' => 1],
        ]);
        $this->actingAs($this->wren)
            ->post(route('members.store', $this->cove), ['role' => 'reader', 'email' => 'odo@lantern-cove.example'])
            ->assertSessionHas('notice', 'The mail could not be sent. The invitation is ready: share its link.')
            ->assertSessionHas('link');
        self::assertSame(1, $this->cove->invitations()->count());
    }

    public function test_nobody_becomes_a_second_streamer_and_the_streamer_stays(): void
    {
        $this->actingAs($this->wren)
            ->post(route('members.store', $this->cove), ['role' => 'streamer'])
            ->assertSessionHasErrors('role');
        $link = $this->invite('reader');
        $this->post($link);
        self::assertSame(Role::Streamer, $this->wren->roleIn($this->cove));
        $this->delete(route('members.destroy', [$this->cove, $this->wren->memberships()->firstOrFail()]));
        self::assertSame(Role::Streamer, $this->wren->roleIn($this->cove));
    }

    public function test_the_form_tells_nobody_who_has_an_account(): void
    {
        Notification::fake();
        foreach (['wren@lantern-cove.example', 'nobody@far-harbour.example'] as $email) {
            $this->actingAs($this->wren)
                ->post(route('members.store', $this->cove), ['email' => $email, 'role' => 'reader'])
                ->assertSessionHas('notice', "The invitation was sent to {$email}.");
        }
        Notification::assertSentOnDemand(
            InvitationMail::class,
            static fn (InvitationMail $mail, array $channels, AnonymousNotifiable $to): bool => $to->routes['mail']
                === 'nobody@far-harbour.example' && str_contains((string) $mail->toMail()->actionUrl, '/invitation/'),
        );
    }

    public function test_registration_is_open_at_home_and_by_invitation_elsewhere(): void
    {
        $given = [
            'name' => 'Pia',
            'email' => 'pia@far-harbour.example',
            'password' => 'kittiwakes nest',
            'password_confirmation' => 'kittiwakes nest',
        ];
        config(['app.url' => 'https://parrot.example']);
        $this->get('/register')->assertSee('Accounts here are made by invitation.');
        $this->post('/register', $given)->assertForbidden();
        $this->get('/sign-in')->assertDontSee('Register');
        $link = $this->invite('reader');
        auth()->logout();
        $this->flushSession();
        $this->get($link)->assertOk()->assertSee('Register');
        $this->post('/register', $given)->assertRedirect('/sign-in');
        // Signing in leads back to the invitation.
        $this->post('/sign-in', [
            'email' => 'pia@far-harbour.example',
            'password' => 'kittiwakes nest',
        ])->assertRedirect($link);
        config(['accounts.registration' => 'open']);
        auth()->logout();
        $this->flushSession();
        $this->post('/register', ['email' => 'odo@far-harbour.example'] + $given)->assertRedirect('/sign-in');
        self::assertSame(2, User::query()->where('email', 'like', '%far-harbour.example')->count());
    }

    public function test_registering_an_address_that_is_known_changes_nothing_and_looks_the_same(): void
    {
        $given = [
            'name' => 'Somebody',
            'email' => 'WREN@lantern-cove.example',
            'password' => 'kittiwakes nest',
            'password_confirmation' => 'kittiwakes nest',
        ];
        $known = $this->post('/register', $given);
        $new = $this->post('/register', ['email' => 'new@lantern-cove.example'] + $given);
        self::assertSame(
            [$known->getStatusCode(), $known->headers->get('Location')],
            [$new->getStatusCode(), $new->headers->get('Location')],
        );
        $this->post('/sign-in', [
            'email' => 'wren@lantern-cove.example',
            'password' => 'kittiwakes nest',
        ])->assertSessionHasErrors('email');
        self::assertSame('Wren', $this->wren->refresh()->name);
    }

    private function invite(string $role): string
    {
        $link = $this->actingAs($this->wren)
            ->post(route('members.store', $this->cove), ['role' => $role])
            ->assertSessionHasNoErrors()
            ->getSession()
            ->get('link');
        self::assertIsString($link);

        return $link;
    }
}
