<?php

declare(strict_types=1);

namespace Tests\Feature\Accounts;

use App\Accounts\AddressMail;
use App\Air\Streams\Grant;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use Tests\Feature\TestCase;

/** One's own account. */
final class AccountTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_the_name_is_changed(): void
    {
        $this->put(route('account.name'), ['name' => ''])->assertSessionHasErrors('name');
        $this->put(route('account.name'), ['name' => 'Wren of the Cove'])->assertSessionHas('notice');
        $this->get(route('account'))->assertSee('value="Wren of the Cove"', false);
    }

    public function test_an_address_changes_when_its_owner_opens_the_link_that_goes_there(): void
    {
        Notification::fake();
        $ask = fn (string $email, string $password) => $this->put(route('account.email'), [
            'email' => $email,
            'password_for_email' => $password,
        ]);
        $ask('new@lantern-cove.example', 'wrong')->assertSessionHasErrors('password_for_email');
        Notification::assertNothingSent();
        $ask('New@lantern-cove.example', 'a long enough password')->assertSessionHas(
            'notice',
            'A link is on its way to new@lantern-cove.example. Your address changes when you open it.',
        );
        $link = $this->linkSent();
        self::assertSame('wren@lantern-cove.example', $this->wren->refresh()->email);
        $this->get(str_replace('new%40', 'odo%40', $link))->assertSessionHas(
            'notice',
            'That link is too old, or was used already. Ask for a new one.',
        );
        $this->actingAs($this->person('Pia'))->get($link);
        $this->actingAs($this->wren)->get($link)->assertSessionHas(
            'notice',
            'Your address is new@lantern-cove.example now.',
        );
        self::assertSame('new@lantern-cove.example', $this->wren->refresh()->email);
        $this->get($link)->assertSessionHas('notice', 'That link is too old, or was used already. Ask for a new one.');
    }

    public function test_an_address_that_somebody_has_is_told_to_nobody_and_not_taken(): void
    {
        Notification::fake();
        $pia = $this->person('Pia');
        $this->put(route('account.email'), [
            'email' => $pia->email,
            'password_for_email' => 'a long enough password',
        ])->assertSessionHasNoErrors();
        $this->get($this->linkSent());
        self::assertSame('wren@lantern-cove.example', $this->wren->refresh()->email);
    }

    public function test_a_new_password_ends_all_other_sessions_and_not_this_one(): void
    {
        $this->elsewhere();
        $change = fn (string $now, string $new, string $again) => $this->put(route('account.password'), [
            'current_password' => $now,
            'password' => $new,
            'password_confirmation' => $again,
        ]);
        $change('wrong', 'another long password', 'another long password')->assertSessionHasErrors('current_password');
        $change('a long enough password', 'short', 'short')->assertSessionHasErrors('password');
        self::assertTrue(Hash::check('a long enough password', $this->wren->refresh()->password));
        $change('a long enough password', 'another long password', 'another long password')->assertSessionHasNoErrors();
        self::assertTrue(Hash::check('another long password', $this->wren->refresh()->password));
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        $this->get(route('account'))->assertOk();
    }

    public function test_signing_out_everywhere_else_ends_the_others_and_what_they_read_along(): void
    {
        $this->elsewhere();
        Grant::of('elsewhere', $this->wren->id);
        $token = $this->wren->refresh()->getRememberToken();
        $this->get(route('account'))->assertSee('203.0.113.7')->assertSee('a browser')->assertDontSee('198.51.100.9');
        $this->post(route('account.end'))->assertSessionHas('notice', 'You are signed out everywhere else.');
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
        self::assertSame(1, DB::table('sessions')->where('id', 'somebody else')->count());
        self::assertSame(0, DB::table('stream_grants')->where('user_id', $this->wren->id)->count());
        self::assertNotSame($token, $this->wren->refresh()->getRememberToken());
        $this->get(route('account'))->assertOk();
    }

    private function elsewhere(): void
    {
        foreach (
            [
                ['elsewhere', $this->wren->id, '203.0.113.7'],
                ['somebody else', $this->person('Odo')->id, '198.51.100.9'],
            ] as [$id, $user, $address]
        ) {
            DB::table('sessions')->insert([
                'id' => $id,
                'user_id' => $user,
                'ip_address' => $address,
                'user_agent' => 'a browser',
                'payload' => '',
                'last_activity' => now()->getTimestamp(),
            ]);
        }
    }

    private function linkSent(): string
    {
        $link = '';
        Notification::assertSentTo(new AnonymousNotifiable, AddressMail::class, static function (
            AddressMail $mail,
        ) use (&$link): bool {
            $link = (string) $mail->toMail()->actionUrl;

            return true;
        });

        return $link;
    }
}
