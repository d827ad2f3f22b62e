<?php

declare(strict_types=1);

namespace Tests\Feature\Accounts;

use App\Accounts\SignInLinks;
use App\Models\User;
use Carbon\CarbonInterval;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Sleep;
use Tests\Feature\TestCase;

final class SignInTest extends TestCase
{
    public function test_the_right_password_leads_to_the_one_channel(): void
    {
        $this->post('/sign-in', [
            'email' => 'wren@lantern-cove.example',
            'password' => 'a long enough password',
        ])->assertRedirect('/');
        $this->assertAuthenticatedAs($this->wren);
        $this->get('/')->assertRedirect("/channels/{$this->cove->id}/write");
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function test_five_wrong_passwords_make_the_sixth_wait_even_if_it_is_right(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->post('/sign-in', [
                'email' => 'wren@lantern-cove.example',
                'password' => 'wrong',
            ])->assertSessionHasErrors(['email' => 'That address and password do not belong together.']);
        }
        $this->post('/sign-in', [
            'email' => 'WREN@lantern-cove.example',
            'password' => 'a long enough password',
        ])->assertSessionHasErrors('email');
        $this->assertGuest();
        $this->travel(61)->seconds();
        $this->post('/sign-in', [
            'email' => 'wren@lantern-cove.example',
            'password' => 'a long enough password',
        ])->assertSessionHasNoErrors();
    }

    public function test_a_sign_in_link_works_once_and_not_for_ever(): void
    {
        $link = app(SignInLinks::class)->issue($this->wren);
        $this->get($link)->assertRedirect('/');
        $this->assertAuthenticatedAs($this->wren);
        $this->post('/sign-out');
        $this->get($link)->assertRedirect('/sign-in');
        $this->assertGuest();
        $late = app(SignInLinks::class)->issue($this->wren);
        $this->travel(31)->minutes();
        $this->get($late);
        $this->assertGuest();
        $this->assertDatabaseMissing('sign_in_links', ['token_hash' => basename($late)]);
    }

    public function test_registering_makes_a_person_who_can_make_a_channel_with_a_cast(): void
    {
        $this->post('/register', [
            'name' => 'Pia',
            'email' => 'pia@far-harbour.example',
            'password' => 'short',
            'password_confirmation' => 'short',
        ])->assertSessionHasErrors('password');
        $this->post('/register', [
            'name' => 'Pia',
            'email' => 'Pia@far-harbour.example',
            'password' => 'kittiwakes nest',
            'password_confirmation' => 'kittiwakes nest',
        ])->assertRedirect('/sign-in');
        $this->post('/sign-in', [
            'email' => 'PIA@far-harbour.example',
            'password' => 'kittiwakes nest',
        ])->assertSessionHasNoErrors();
        $this->post('/channels', [
            'name' => 'Far Harbour',
            'login' => 'Far Harbour',
            'language' => 'en',
            'zone' => 'Cove/Slipway',
        ])->assertSessionHasErrors(['login', 'zone']);
        $this->post('/channels', [
            'name' => 'Far Harbour',
            'login' => 'Far_Harbour',
            'language' => 'en',
            'zone' => 'Europe/Oslo',
        ])->assertRedirect();
        $channel = User::query()->where('name', 'Pia')->firstOrFail()->memberships()->with('channel')->firstOrFail()
            ->channel;
        self::assertSame('far_harbour', $channel->login);
        self::assertGreaterThanOrEqual(8, $channel->castMembers()->count());
        $this->get("/channels/{$channel->id}/write")->assertOk()->assertSee('Nothing is written yet.');
    }

    public function test_a_forgotten_password_is_set_anew_by_mail_and_the_answer_betrays_nobody(): void
    {
        Notification::fake();
        $this->post('/forgotten', ['email' => 'nobody@lantern-cove.example'])->assertSessionHas(
            'notice',
            $known = 'If that address is known here, a link is on its way to it.',
        );
        Notification::assertNothingSent();
        $this->post('/forgotten', ['email' => 'wren@lantern-cove.example'])->assertSessionHas('notice', $known);
        Notification::assertSentTo($this->wren, ResetPassword::class, function (ResetPassword $mail): bool {
            $this->get("/new-password/{$mail->token}?email=wren@lantern-cove.example")
                ->assertOk()
                ->assertSee('wren@lantern-cove.example');
            $given = [
                'token' => $mail->token,
                'email' => 'wren@lantern-cove.example',
                'password' => 'marigold sails',
                'password_confirmation' => 'marigold sails',
            ];
            $this->post('/new-password', $given)->assertRedirect('/sign-in');
            $this->post('/new-password', $given)->assertSessionHasErrors('email');

            return true;
        });
        $this->post('/sign-in', [
            'email' => 'wren@lantern-cove.example',
            'password' => 'marigold sails',
        ])->assertSessionHasNoErrors();
    }

    public function test_neither_time_nor_a_broken_mail_server_tells_who_has_an_account(): void
    {
        config([
            'mail.default' => 'smtp',
            'mail.mailers.smtp' => ['transport' => 'smtp', 'host' => '127.0.0.1', 'port' => 1, 'timeout' => 1],
        ]);
        foreach (['wren@lantern-cove.example', 'nobody@lantern-cove.example'] as $email) {
            $spans = [];
            foreach (
                [
                    fn () => $this->post('/forgotten', ['email' => $email])->assertSessionHas('notice'),
                    fn () => $this->post('/sign-in', ['email' => $email, 'password' => 'wrong']),
                ] as $ask
            ) {
                Sleep::fake();
                $ask();
                Sleep::assertSleptTimes(1);
                Sleep::assertSlept(function (CarbonInterval $span) use (&$spans): bool {
                    $spans[] = $span->totalMilliseconds;

                    return true;
                });
            }
            // What is waited for fills up what the work took, and hashes cost next to nothing here.
            self::assertGreaterThan(300, min($spans), $email);
        }
    }
}
