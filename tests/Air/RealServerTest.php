<?php

declare(strict_types=1);

namespace Tests\Air;

use function Amp\async;
use function Amp\delay;

use App\Air\ChatAddress;
use App\Air\ChatConnection;
use App\Air\Standing;
use Ground\Port;
use Ground\Shell;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Wire\IrcLine;

/** The talker's connection against an IRC server that knows nothing of us: ngircd (Debian). */
final class RealServerTest extends TestCase
{
    private int $port;

    private string $folder;

    /** @var resource|null */
    private $server;

    protected function setUp(): void
    {
        self::assertNotNull(Shell::find('ngircd'), 'bin/parrot test installs it');
        $this->port = Port::firstFreeFrom(26667);
        $this->folder = sys_get_temp_dir().'/parrot-ngircd-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0o755);
        $own = posix_geteuid() === 0 ? "ServerUID = irc\nServerGID = irc\n" : '';
        file_put_contents("{$this->folder}/ngircd.conf", "[Global]\nName = irc.local.test\nListen = 127.0.0.1\nPorts = {$this->port}\n{$own}MotdPhrase = ok\n[Limits]\nMaxConnectionsIP = 0\nMaxNickLength = 30\nMaxPenaltyTime = 0\n[Options]\nDNS = no\nIdent = no\nPAM = no\nIncludeDir = /nonexistent\n");
        $this->start();
    }

    protected function tearDown(): void
    {
        $this->stop();
        exec('rm -rf -- '.escapeshellarg($this->folder));
    }

    public function test_it_connects_joins_hears_answers_is_cut_off_and_comes_back(): void
    {
        $heard = [];
        $chat = new ChatConnection(new ChatAddress('127.0.0.1', $this->port, 'silver_parrot', 'lantern_cove', isNear: true), static function (IrcLine $line) use (&$heard): void {
            if ($line->command === 'PRIVMSG') {
                $heard[] = [$line->nick(), $line->param(0), $line->param(1)];
            }
        });
        async(static fn () => $chat->stay());
        $this->until(static fn (): bool => $chat->isWelcome(), 'it is welcome');
        $chat->beIn(['lantern_cove']);
        $viewer = ChatClient::join($this->port, 'wren', 'lantern_cove', '');
        // The first to enter a channel here is its operator: the parrot sees its rights.
        $this->until(static fn (): bool => $chat->standingIn('lantern_cove') === Standing::Moderator, 'it is in, with the rights');
        self::assertFalse($chat->knowsPeople(), 'a server without accounts tells people apart by nicks alone');
        $viewer->say('ahoy : there');
        $this->until(static function () use (&$heard): bool {
            return $heard !== [];
        }, 'it hears');
        self::assertSame([['wren', '#lantern_cove', 'ahoy : there']], $heard);
        $chat->say('#lantern_cove', 'High water at four: mind the slipway.');
        delay(0.2);
        self::assertSame('High water at four: mind the slipway.', $viewer->awaitSaying('High water'));

        $this->stop();
        $this->until(static fn (): bool => ! $chat->isWelcome(), 'it notices');
        self::assertFalse($chat->say('#lantern_cove', 'into the void'));
        $this->start();
        $this->until(static fn (): bool => $chat->isWelcome(), 'it comes back', 20);
        $chat->beIn(['lantern_cove']);
        $again = ChatClient::join($this->port, 'odo', 'lantern_cove', '');
        $chat->say('#lantern_cove', 'back again');
        delay(0.2);
        self::assertSame('back again', $again->awaitSaying('back again'));
        $chat->end();
        delay(0.1);
    }

    private function start(): void
    {
        $process = proc_open([(string) Shell::find('ngircd'), '-n', '-f', "{$this->folder}/ngircd.conf"], [['file', '/dev/null', 'r'], ['file', "{$this->folder}/log", 'a'], ['redirect', 1]], $pipes);
        self::assertIsResource($process);
        $this->server = $process;
        for ($tries = 0; $tries < 200 && Port::isFree($this->port); $tries++) {
            usleep(25_000);
        }
        self::assertFalse(Port::isFree($this->port), (string) file_get_contents("{$this->folder}/log"));
    }

    private function stop(): void
    {
        if ($this->server !== null) {
            proc_terminate($this->server, SIGKILL);
            proc_close($this->server);
            $this->server = null;
        }
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
        self::fail("in vain: $what; ".file_get_contents("{$this->folder}/log"));
    }
}
