<?php

declare(strict_types=1);

namespace Tests\Air;

use App\Air\ChatAddress;
use App\Air\ChatConnection;
use App\Air\ConnectionState;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Wire\IrcLine;

use function Amp\async;
use function Amp\delay;

/** The talker's connection against an IRC server that knows nothing of us: ngircd (Debian). */
final class RealServerTest extends TestCase
{
    private Ngircd $server;

    protected function setUp(): void
    {
        $this->server = Ngircd::start();
    }

    protected function tearDown(): void
    {
        $this->server->remove();
    }

    public function test_it_connects_joins_hears_answers_is_cut_off_and_comes_back(): void
    {
        $heard = [];
        $chat = new ChatConnection(
            new ChatAddress('127.0.0.1', $this->server->port, 'silver_parrot', 'lantern_cove', isNear: true),
            static function (IrcLine $line) use (&$heard): void {
                if ($line->command === 'PRIVMSG') {
                    $heard[] = [$line->nick(), $line->param(0), $line->param(1)];
                }
            },
        );
        async(static fn () => $chat->stay());
        $this->until(static fn (): bool => $chat->isWelcome(), 'it is welcome');
        $chat->beIn(['lantern_cove']);
        // The first to enter a channel here is its operator: the parrot sees its rights.
        $this->until(
            static fn (): bool => $chat->stateIn('lantern_cove') === ConnectionState::Moderator,
            'it is in, with the rights',
        );
        $viewer = ChatClient::join($this->server->port, 'wren', 'lantern_cove', '');
        self::assertFalse($chat->knowsPeople(), 'a server without accounts tells people apart by nicks alone');
        $viewer->say('ahoy : there');
        $this->until(static function () use (&$heard): bool {
            return $heard !== [];
        }, 'it hears');
        self::assertSame([['wren', '#lantern_cove', 'ahoy : there']], $heard);
        $chat->say('#lantern_cove', 'High water at four: mind the slipway.');
        delay(0.2);
        self::assertSame('High water at four: mind the slipway.', $viewer->awaitSaying('High water'));

        $this->server->kill();
        $this->until(static fn (): bool => ! $chat->isWelcome(), 'it notices');
        self::assertFalse($chat->say('#lantern_cove', 'into the void'));
        $this->server->run();
        $this->until(static fn (): bool => $chat->isWelcome(), 'it comes back', 20);
        $chat->beIn(['lantern_cove']);
        $again = ChatClient::join($this->server->port, 'odo', 'lantern_cove', '');
        $chat->say('#lantern_cove', 'back again');
        delay(0.2);
        self::assertSame('back again', $again->awaitSaying('back again'));
        $chat->end();
        delay(0.1);
    }

    /** @param  callable(): bool  $is */
    private function until(callable $is, string $what, float $seconds = 10): void
    {
        for ($end = microtime(true) + $seconds; microtime(true) < $end;) {
            if ($is()) {
                return;
            }
            delay(0.02);
        }
        self::fail("in vain: $what; ".$this->server->log());
    }
}
