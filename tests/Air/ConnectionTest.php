<?php

declare(strict_types=1);

namespace Tests\Air;

use App\Air\ChatAddress;
use App\Air\ChatConnection;
use App\Air\ConnectionState;
use App\Air\SignIn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Wire\IrcLine;

use function Amp\async;
use function Amp\delay;

/** The talker's way into a chat that asks who it is, and that has to prove who it is itself. */
final class ConnectionTest extends TestCase
{
    private ?HarbourProcess $harbour = null;

    private string $folder;

    /** @var list<ChatConnection> */
    private array $open = [];

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/parrot-tls-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0o700);
    }

    protected function tearDown(): void
    {
        foreach ($this->open as $chat) {
            $chat->end();
        }
        $this->harbour?->end();
        exec('rm -rf -- '.escapeshellarg($this->folder));
    }

    /**
     * @return iterable<string, array{string, int, bool, bool, ConnectionState}> extension, days, signed by itself, is
     *     the authority known, what comes of it
     */
    public static function certificates(): iterable
    {
        yield 'good' => ['good', 30, false, true, ConnectionState::Moderator];
        yield 'for another name' => ['other', 30, false, true, ConnectionState::NotTrusted];
        yield 'run out' => ['good', 0, false, true, ConnectionState::NotTrusted];
        yield 'signed by itself' => ['good', 30, true, true, ConnectionState::NotTrusted];
        yield 'by an authority that nobody named' => ['good', 30, false, false, ConnectionState::NotTrusted];
    }

    #[DataProvider('certificates')]
    public function test_a_server_must_prove_that_it_is_the_one_that_was_named(
        string $extension,
        int $days,
        bool $byItself,
        bool $isKnown,
        ConnectionState $expected,
    ): void {
        $certificates = new Certificates($this->folder);
        $this->harbour = HarbourProcess::start(
            '--password=oakum',
            ...$certificates->server($extension, $days, $byItself),
        );
        // Valid for no day: until the second in which it was made.
        $days > 0 || sleep(2);
        $heard = [];
        $chat = $this->connect(
            new ChatAddress(
                'localhost',
                $this->harbour->chat,
                'silver_parrot',
                'cove',
                tls: true,
                signIn: SignIn::Password,
                secret: 'oakum',
                isNear: true,
            ),
            $heard,
            $isKnown ? "{$this->folder}/authority.pem" : '',
        );
        $this->until(static fn (): bool => self::enter($chat) !== ConnectionState::Away);
        self::assertSame($expected, $chat->stateIn('cove'));
        self::assertSame($expected === ConnectionState::Moderator, $chat->isWelcome());
    }

    /**
     * @return iterable<string, array{list<string>, SignIn, string, string, ConnectionState}> the harbour's options,
     *     how, account, secret, what comes of it
     */
    public static function signIns(): iterable
    {
        $accounts = ['--accounts=silver_parrot:tar and oakum'];
        yield 'account' => [$accounts, SignIn::Account, 'silver_parrot', 'tar and oakum', ConnectionState::Moderator];
        yield 'account with a long secret, in two parts' => [
            ['--accounts=silver_parrot:'.str_repeat('o', 400)],
            SignIn::Account,
            'silver_parrot',
            str_repeat('o', 400),
            ConnectionState::Moderator,
        ];
        yield 'account with a secret that fills its parts' => [
            ['--accounts=silver_parrot:'.str_repeat('o', 300 - 15)],
            SignIn::Account,
            'silver_parrot',
            str_repeat('o', 300 - 15),
            ConnectionState::Moderator,
        ];
        yield 'account with a wrong secret' => [
            $accounts,
            SignIn::Account,
            'silver_parrot',
            'tar',
            ConnectionState::NotSignedIn,
        ];
        yield 'an account where none can be' => [
            [],
            SignIn::Account,
            'silver_parrot',
            'tar',
            ConnectionState::NotSignedIn,
        ];
        yield 'none where one must be' => [$accounts, SignIn::None, '', '', ConnectionState::NotSignedIn];
        yield 'password' => [['--password=oakum'], SignIn::Password, '', 'oakum', ConnectionState::Moderator];
        yield 'wrong password' => [['--password=oakum'], SignIn::Password, '', 'rope', ConnectionState::NotSignedIn];
    }

    /** @param  list<string>  $options */
    #[DataProvider('signIns')]
    public function test_it_proves_who_it_is(
        array $options,
        SignIn $how,
        string $account,
        string $secret,
        ConnectionState $expected,
    ): void {
        $this->harbour = HarbourProcess::start(...$options);
        $heard = [];
        $chat = $this->connect(
            new ChatAddress(
                '127.0.0.1',
                $this->harbour->chat,
                'silver_parrot',
                'cove',
                signIn: $how,
                account: $account,
                secret: $secret,
                isNear: true,
            ),
            $heard,
        );
        $this->until(static fn (): bool => self::enter($chat) !== ConnectionState::Away);
        self::assertSame($expected, $chat->stateIn('cove'));
    }

    public function test_a_name_that_is_taken_and_an_address_that_is_too_near_are_told_apart(): void
    {
        $this->harbour = HarbourProcess::start();
        $other = ChatClient::join($this->harbour->chat, 'silver_parrot', 'cove');
        $heard = [];
        $taken = $this->connect(
            new ChatAddress('127.0.0.1', $this->harbour->chat, 'silver_parrot', 'cove', isNear: true),
            $heard,
        );
        $near = $this->connect(new ChatAddress('localhost', $this->harbour->chat, 'second_parrot', 'cove'), $heard);
        $this->until(
            static fn (): bool => $taken->stateIn('cove') !== ConnectionState::Away
                && $near->stateIn('cove') !== ConnectionState::Away,
        );
        self::assertSame(
            [ConnectionState::NameTaken, ConnectionState::TooNear],
            [$taken->stateIn('cove'), $near->stateIn('cove')],
        );
        self::assertFalse($other->isGone());
    }

    public function test_without_rights_it_says_so_and_what_is_refused_is_told(): void
    {
        $this->harbour = HarbourProcess::start('--moderators=bosun');
        $heard = [];
        $chat = $this->connect(
            new ChatAddress('127.0.0.1', $this->harbour->chat, 'silver_parrot', 'cove', isNear: true),
            $heard,
        );
        $this->until(static fn (): bool => self::enter($chat) !== ConnectionState::Away);
        self::assertSame(ConnectionState::Connected, $chat->stateIn('cove'));
        $chat->say('#cove', 'see https://charts.lantern-cove.example');
        $this->until(static function () use (&$heard): bool {
            return $heard !== [];
        });
        self::assertSame(
            ['NOTICE', 'msg_links: only moderators may post links here'],
            [$heard[0]->command, $heard[0]->param(1)],
        );
    }

    public function test_it_hears_says_whispers_replies_and_knows_who_has_which_rights(): void
    {
        $this->harbour = HarbourProcess::start('--moderators=silver_parrot,bosun');
        $heard = [];
        $chat = $this->connect(
            new ChatAddress('127.0.0.1', $this->harbour->chat, 'silver_parrot', 'cove', isNear: true),
            $heard,
        );
        $this->until(static fn (): bool => self::enter($chat) === ConnectionState::Moderator);
        self::assertTrue($chat->knowsPeople());
        $odo = ChatClient::join($this->harbour->chat, 'odo', 'cove');
        $bosun = ChatClient::join($this->harbour->chat, 'bosun', 'cove');
        $odo->say('is the tide in?');
        $this->until(static function () use (&$heard): bool {
            return $heard !== [];
        });
        self::assertSame(
            ['odo', 'is the tide in?', 'odo'],
            [$heard[0]->nick(), $heard[0]->param(1), $heard[0]->tags['account']],
        );
        self::assertTrue($chat->roster('cove')?->isOperator('BOSUN'));
        self::assertFalse($chat->roster('cove')->isOperator('odo'));
        $chat->say('#cove', 'At four.', $heard[0]->tags['msgid']);
        $chat->say('odo', 'Between us: mind the third plank.');
        delay(0.1);
        $odo->awaitSaying('Between us');
        self::assertSame($heard[0]->tags['msgid'], $odo->tagsOf('At four.')['+draft/reply'] ?? '');
        self::assertSame(['At four.'], $bosun->saidBy('silver_parrot'), 'a whisper is for one');
        $this->harbour->post('/troubles', ['kind' => 'drop']);
        $this->until(static fn (): bool => ! $chat->isWelcome());
        $this->until(static fn (): bool => self::enter($chat) === ConnectionState::Moderator);
    }

    /** @param  list<IrcLine>  $heard */
    private function connect(ChatAddress $address, array &$heard, string $authorities = ''): ChatConnection
    {
        $this->open[] = $chat = new ChatConnection($address, static function (IrcLine $line) use (&$heard): void {
            $heard[] = $line;
        }, $authorities);
        async(static fn () => $chat->stay());

        return $chat;
    }

    private static function enter(ChatConnection $chat): ConnectionState
    {
        $chat->beIn(['cove']);

        return $chat->stateIn('cove');
    }

    /** @param  callable(): bool  $is */
    private function until(callable $is): void
    {
        for ($end = hrtime(true) + 10e9; hrtime(true) < $end;) {
            if ($is()) {
                delay(0.05);

                return;
            }
            delay(0.02);
        }
        self::fail('in vain');
    }
}
