<?php

declare(strict_types=1);

namespace Tests\Air;

use Ground\Shell;
use PHPUnit\Framework\Assert;

/** The talker in somebody else's chat: ngircd over TLS, and ii as the viewer (both Debian). */
final class ElsewhereTest extends AirTestCase
{
    private Ngircd $server;

    /** @var resource|null */
    private $ii = null;

    private string $chat;

    protected function setUp(): void
    {
        parent::setUp();
        $this->server = Ngircd::start(self::$certificate);
        $this->chat = $this->air->home.'/ii';
        $this->air
            ->database()
            ->prepare('UPDATE channels SET chat_server = ? WHERE id = 1')
            ->execute([
                json_encode([
                    'host' => 'localhost',
                    'port' => $this->server->tlsPort,
                    'tls' => true,
                    'nick' => 'silver_parrot',
                    'room' => 'shed',
                    'sign_in' => 'none',
                    'account' => '',
                ]),
            ]);
    }

    protected function tearDown(): void
    {
        $this->air->database()->exec('UPDATE channels SET chat_server = NULL WHERE id = 1');
        $this->leave();
        $this->server->remove();
    }

    public function test_it_joins_hears_answers_is_cut_off_comes_back_and_says_that_nobody_has_an_account(): void
    {
        $this->enter();
        $this->until(
            fn (): bool => $this->value(
                "SELECT COUNT(*) FROM channels WHERE id = 1 AND air_knows_people = 0 AND air_state <> 'away'",
            ) === '1',
            'it is in, and says that people are known by their names alone',
        );
        $this->awaitRoomToSpeak(5);
        $before = $this->planks();
        $this->say('!count');
        $this->until(fn (): bool => str_contains($this->heard(), '<silver_parrot> '.($before + 1)), 'it answers');
        self::assertSame($before + 1, $this->planks());

        $this->server->kill();
        $this->until(
            fn (): bool => $this->value('SELECT air_state FROM channels WHERE id = 1') === 'away',
            'it says that it was cut off',
        );
        $this->leave();
        $this->server->run();
        $this->enter();
        $this->until(function () use ($before): bool {
            $this->say('!count');
            usleep(300_000);

            return str_contains($this->heard(), '<silver_parrot> '.($before + 2));
        }, 'it comes back', 60);
    }

    private function enter(): void
    {
        Assert::assertNotNull(Shell::find('ii'), 'bin/parrot test installs it');
        exec('rm -rf -- '.escapeshellarg($this->chat));
        $process = proc_open(
            ['ii', '-i', $this->chat, '-s', '127.0.0.1', '-p', (string) $this->server->port, '-n', 'wren'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['redirect', 1]],
            $pipes,
        );
        self::assertIsResource($process);
        $this->ii = $process;
        $folder = "{$this->chat}/127.0.0.1";
        $this->until(
            static fn (): bool => str_contains((string) @file_get_contents("$folder/out"), 'MOTD'),
            'ii is in',
            20,
        );
        file_put_contents("$folder/in", "/j #shed\n");
        $this->until(static fn (): bool => file_exists("$folder/#shed/in"), 'ii has joined');
    }

    private function leave(): void
    {
        if ($this->ii !== null) {
            proc_terminate($this->ii, SIGKILL);
            proc_close($this->ii);
            $this->ii = null;
        }
    }

    private function say(string $text): void
    {
        file_put_contents("{$this->chat}/127.0.0.1/#shed/in", "$text\n");
    }

    private function heard(): string
    {
        return (string) @file_get_contents("{$this->chat}/127.0.0.1/#shed/out");
    }

    /** @param  callable(): bool  $is */
    private function until(callable $is, string $what, float $seconds = 30): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end;) {
            if ($is()) {
                return;
            }
            usleep(50_000);
        }
        self::fail(
            "in vain: $what; "
                .$this->heard()
                .json_encode(
                    $this->air
                        ->database()
                        ->query(
                            'SELECT state, text, queued_at, handed_at, UTC_TIMESTAMP(3) FROM outgoing WHERE '
                                .'channel_id = 1 ORDER BY id DESC LIMIT 8',
                        )
                        ->fetchAll(\PDO::FETCH_NUM),
                )
                .$this->server->log(),
        );
    }
}
