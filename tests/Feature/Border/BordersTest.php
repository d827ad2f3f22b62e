<?php

declare(strict_types=1);

namespace Tests\Feature\Border;

use App\Accounts\SignInLinks;
use App\Air\Streams\Grant;
use App\Border\TrustedHosts;
use App\Models\User;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Notification;
use Tests\Feature\TestCase;

final class BordersTest extends TestCase
{
    public function test_all_that_is_answered_bears_the_headers(): void
    {
        $answers = [
            $this->get('/sign-in'),
            $this->get('/'),
            $this->get('/nothing/here'),
            $this->call('DELETE', '/sign-in'),
            $this->get('/sign-in?x[]=y'),
            $this->get('/up'),
            $this->getJson("/channels/{$this->cove->id}/write"),
            $this->actingAs($this->wren)->get(route('write', $this->cove)),
            $this->actingAs($this->person('Pia'))->get(route('write', $this->cove)),
        ];
        self::assertSame(
            [200, 302, 404, 405, 400, 200, 401, 200, 404],
            array_map(static fn ($answer): int => $answer->getStatusCode(), $answers),
        );
        foreach ($answers as $answer) {
            $answer
                ->assertHeader('X-Content-Type-Options', 'nosniff')
                ->assertHeader('X-Frame-Options', 'DENY')
                ->assertHeader('Cache-Control', 'no-store, private');
            self::assertStringContainsString(
                "default-src 'none'",
                (string) $answer->headers->get('Content-Security-Policy'),
            );
        }
    }

    public function test_a_password_link_leads_to_the_address_that_was_set_up_whatever_the_request_called_it(): void
    {
        Notification::fake();
        config(['app.url' => 'https://parrot.example']);
        $this->post('http://evil.example/forgotten', ['email' => 'WREN@lantern-cove.example']);
        Notification::assertSentTo(
            $this->wren,
            ResetPassword::class,
            fn (ResetPassword $mail): bool => str_starts_with(
                (string) $mail->toMail($this->wren)->actionUrl,
                'https://parrot.example/new-password/',
            ),
        );
        self::assertSame(['^parrot\.example$'], TrustedHosts::patterns());
        config(['app.url' => 'http://127.0.0.1:8080']);
        self::assertSame(['^127\.0\.0\.1$', '^localhost$', '^\[\:\:1\]$'], TrustedHosts::patterns());
    }

    public function test_mail_that_is_not_sent_is_written_into_a_log_of_its_own(): void
    {
        config([
            'logging.channels.mail.path' => ($file =
                sys_get_temp_dir().'/parrot-mail-'.bin2hex(random_bytes(4)).'.log'),
            'mail.default' => 'log',
        ]);
        Mail::mailer('log')->raw(
            'the link',
            static fn ($message) => $message->to('wren@lantern-cove.example')->subject('x'),
        );
        $written = glob(substr($file, 0, -4).'*.log') ?: [];
        self::assertCount(1, $written);
        self::assertStringContainsString('the link', (string) file_get_contents($written[0]));
        self::assertSame('0600', substr(sprintf('%o', fileperms($written[0])), -4));
        unlink($written[0]);
    }

    public function test_what_people_wrote_stands_in_no_report_of_a_query(): void
    {
        $told = [];
        Log::shouldReceive('error')
            ->once()
            ->andReturnUsing(static function (string $message, array $context) use (&$told): void {
                $told = [$message, json_encode($context, JSON_THROW_ON_ERROR)];
            });
        try {
            DB::insert('INSERT INTO users (name, email, password) VALUES (?, ?, ?)', [
                str_repeat('secret ', 60),
                'wren@lantern-cove.example',
                'hash',
            ]);
            self::fail();
        } catch (QueryException $failed) {
            report($failed);
        }
        self::assertSame('A query failed', $told[0] ?? '');
        self::assertStringNotContainsString('secret', implode($told));
        self::assertStringNotContainsString('wren@', implode($told));
    }

    public function test_whoever_only_asks_whether_a_sign_in_link_is_there_uses_nothing_up(): void
    {
        $link = app(SignInLinks::class)->issue($this->wren);
        $this->call('HEAD', $link);
        $this->assertGuest();
        $this->get($link)->assertRedirect('/');
        $this->assertAuthenticatedAs($this->wren);
    }

    public function test_a_minutes_typing_leaves_the_chat_its_own_count(): void
    {
        $this->actingAs($this->wren);
        foreach (range(1, 121) as $i) {
            $this->getJson(route('publish.lines', $this->cove));
        }
        $this->getJson(route('publish.lines', $this->cove))->assertTooManyRequests();
        $this->postJson(route('publish.stream', $this->cove))->assertOk();
        $this->postJson(route('write.preview', $this->cove), $this->fields())->assertOk();
        $this->post(route('rehearse.try', $this->cove), ['do' => 'over'])->assertOk();
    }

    public function test_one_preview_of_a_person_is_made_at_a_time_and_others_are_told_at_once(): void
    {
        $this->actingAs($this->wren);
        $lock = Cache::lock("preview of {$this->wren->id}", 5);
        self::assertTrue($lock->get());
        $this->postJson(route('write.preview', $this->cove), $this->fields())
            ->assertTooManyRequests()
            ->assertJson(['busy' => true]);
        $lock->release();
        $this->postJson(route('write.preview', $this->cove), $this->fields())->assertOk();
        $this->postJson(route('write.preview', $this->cove), $this->fields())->assertOk();
    }

    public function test_after_a_new_password_other_sessions_and_streams_end(): void
    {
        $this->post('/sign-in', ['email' => 'wren@lantern-cove.example', 'password' => 'a long enough password']);
        $this->get(route('write', $this->cove))->assertOk();
        Grant::of('a session elsewhere', $this->wren->id);
        Grant::of('somebody else’s', $this->person('Pia')->id);
        Notification::fake();
        $this->post('/sign-out');
        $this->post('/forgotten', ['email' => 'wren@lantern-cove.example']);
        $session = session()->all();
        Notification::assertSentTo($this->wren, ResetPassword::class, function (ResetPassword $mail): bool {
            $this->post('/new-password', [
                'token' => $mail->token,
                'email' => 'wren@lantern-cove.example',
                'password' => 'marigold sails',
                'password_confirmation' => 'marigold sails',
            ])->assertRedirect('/sign-in');

            return true;
        });
        self::assertSame(1, DB::table('stream_grants')->count());
        // A session that was signed in with the old one is signed in no more.
        $this->withSession(
            [
                'login_web_'.sha1(\Illuminate\Auth\SessionGuard::class) => $this->wren->id,
                'password_hash_web' => 'of the old one',
            ] + $session,
        )
            ->get(route('write', $this->cove))
            ->assertRedirect('/sign-in');
    }

    public function test_signing_out_ends_its_own_stream_and_no_other(): void
    {
        // The same browser: its session comes with each request.
        $cookie = $this->actingAs($this->wren)
            ->get(route('publish.chat', $this->cove))
            ->getCookie(config()->string('session.cookie'))
            ?->getValue();
        $this->withCredentials()->withCookie(config()->string('session.cookie'), (string) $cookie);
        $this->postJson(route('publish.stream', $this->cove))->assertOk();
        Grant::of('another browser', $this->wren->id);
        self::assertSame(2, DB::table('stream_grants')->count());
        $this->post('/sign-out')->assertRedirect('/sign-in');
        self::assertSame(1, DB::table('stream_grants')->where('user_id', $this->wren->id)->count());
    }

    public function test_nobody_becomes_an_operator_from_a_page(): void
    {
        $this->post('/register', [
            'name' => 'Pia',
            'email' => 'pia@x.example',
            'password' => 'kittiwakes nest',
            'password_confirmation' => 'kittiwakes nest',
            'is_operator' => '1',
        ]);
        self::assertFalse(User::query()->where('email', 'pia@x.example')->firstOrFail()->is_operator);
    }
}
