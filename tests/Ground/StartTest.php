<?php

declare(strict_types=1);

namespace Tests\Ground;

use Ground\Port;
use Ground\Trouble;
use PHPUnit\Framework\TestCase;

/** `up` and `down` on real servers. */
final class StartTest extends TestCase
{
    private Sandbox $sandbox;

    private int $port;

    protected function setUp(): void
    {
        $this->sandbox = Sandbox::make();
        $this->port = Port::near(18080);
    }

    protected function tearDown(): void
    {
        $this->sandbox->remove();
    }

    public function test_up_ends_ready_with_a_sign_in_link_that_works_once_and_down_ends_only_its_own(): void
    {
        [$code, $printed] = $this->up();
        self::assertSame(0, $code, $printed);
        self::assertTrue($this->sandbox->answers($this->port));
        self::assertSame(
            1,
            preg_match('~http://127\.0\.0\.1:'.$this->port.'/sign-in/link/[0-9a-f]+~', $printed, $link),
            $printed,
        );
        self::assertStringNotContainsString('too old', $this->landing($link[0]));
        self::assertStringContainsString('too old', $this->landing($link[0]));

        $other = Sandbox::make();
        $otherPort = Port::firstFreeFrom($this->port + 1);
        try {
            self::assertSame(0, $other->parrot(['up', "--port=$otherPort"])[0]);
            [$code, $printed] = $this->sandbox->parrot(['down']);
            self::assertSame([0, "Silver Parrot has stopped.\n"], [$code, $printed]);
            self::assertFalse($this->sandbox->answers($this->port));
            self::assertTrue($other->answers($otherPort), 'another instance goes on');
            self::assertSame([0, "Silver Parrot was not running.\n"], $this->sandbox->parrot(['down']));
        } finally {
            $other->remove();
        }
    }

    public function test_a_held_port_is_named_with_a_way_out_and_nothing_is_left_running(): void
    {
        $holder = stream_socket_server("tcp://127.0.0.1:{$this->port}");
        [$code, $printed] = $this->up();
        self::assertSame(Trouble::PORT_TAKEN, $code);
        self::assertStringContainsString(
            "Port {$this->port} on 127.0.0.1, wanted for the application, is held by another program.",
            $printed,
        );
        self::assertStringContainsString('bin/parrot up --port='.($this->port + 1), $printed);
        self::assertFileDoesNotExist($this->sandbox->home.'/run/instance.json');
        fclose($holder);
    }

    public function test_of_two_starts_at_once_one_starts_and_the_other_says_so(): void
    {
        $first = $this->sandbox->begin(['up', "--port={$this->port}"]);
        $lock = $this->sandbox->home.'/run/up.lock';
        for ($tries = 0; $tries < 500 && ! \Ground\Lock::isHeld($lock); $tries++) {
            usleep(5_000);
        }
        [$code, $printed] = $this->up();
        self::assertSame(Trouble::ALREADY_STARTING, $code);
        self::assertStringContainsString('Another start is under way', $printed);
        self::assertSame(0, $this->sandbox->finish($first)[0]);
        self::assertTrue($this->sandbox->answers($this->port));
    }

    public function test_files_of_a_dead_instance_neither_stop_a_start_nor_harm_a_stranger_with_the_same_number(): void
    {
        mkdir($this->sandbox->home.'/run', 0o700, true);
        $stranger = proc_open(['sleep', '60'], [], $pipes);
        self::assertIsResource($stranger);
        $pid = proc_get_status($stranger)['pid'];
        file_put_contents(
            $this->sandbox->home.'/run/instance.json',
            json_encode([
                'supervisor' => ['pid' => $pid, 'started' => '1'],
                'servers' => ['web' => ['pid' => $pid, 'started' => '1']],
            ]),
        );
        touch($this->sandbox->home.'/run/my.sock');
        touch($this->sandbox->home.'/run/supervisor.lock');
        self::assertSame(0, $this->up()[0]);
        self::assertTrue(proc_get_status($stranger)['running']);
        proc_terminate($stranger);
    }

    public function test_servers_that_die_are_started_again_and_every_committed_row_survives_kills_while_writing(): void
    {
        self::assertSame(0, $this->up()[0]);
        $database = $this->sandbox->database();
        $database->exec('CREATE TABLE kept (n INT PRIMARY KEY)');
        $acknowledged = $this->writeUntilKilled(
            $database,
            0,
            fn () => posix_kill($this->sandbox->instance()['servers']['database']['pid'], SIGKILL),
        );
        self::assertGreaterThan(50, $acknowledged);
        $this->awaitDatabase();
        self::assertSame($acknowledged, $this->rows($acknowledged), 'the supervisor started the database again');

        // Now the supervisor and all servers at once: nobody is left to start anything, until `up`.
        $instance = $this->sandbox->instance();
        $more = $this->writeUntilKilled($this->sandbox->database(), $acknowledged + 1000, function () use (
            $instance,
        ): void {
            posix_kill($instance['supervisor']['pid'], SIGKILL);
            posix_kill($this->sandbox->instance()['servers']['database']['pid'], SIGKILL);
        });
        [$code, $printed] = $this->up();
        self::assertSame(0, $code, $printed);
        self::assertTrue($this->sandbox->answers($this->port));
        self::assertSame($acknowledged, $this->rows($acknowledged));
        self::assertGreaterThanOrEqual($more - $acknowledged - 1000, $this->rows(PHP_INT_MAX) - $acknowledged);
    }

    public function test_the_web_server_comes_back_when_it_is_killed(): void
    {
        self::assertSame(0, $this->up()[0]);
        posix_kill($this->sandbox->instance()['servers']['web']['pid'], SIGKILL);
        usleep(300_000);
        for ($tries = 0; $tries < 100 && ! $this->sandbox->answers($this->port); $tries++) {
            usleep(100_000);
        }
        self::assertTrue($this->sandbox->answers($this->port));
    }

    /** @return array{int, string} */
    private function up(): array
    {
        return $this->sandbox->parrot(['up', "--port={$this->port}"]);
    }

    /** The page that a link leads to, with the cookies kept on the way. */
    private function landing(string $url): string
    {
        $cookies = [];
        for ($hops = 0; $hops < 6; $hops++) {
            $context = stream_context_create([
                'http' => [
                    'follow_location' => 0,
                    'ignore_errors' => true,
                    'header' => 'Cookie: '.implode('; ', $cookies),
                ],
            ]);
            $page = (string) file_get_contents($url, false, $context);
            $next = null;
            foreach ($http_response_header as $header) {
                if (preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $header, $part) === 1) {
                    $cookies[$part[1]] = "{$part[1]}={$part[2]}";
                }
                $next = preg_match('/^Location: (\S+)/i', $header, $part) === 1 ? $part[1] : $next;
            }
            if ($next === null) {
                return $page;
            }
            $url = $next;
        }
        self::fail('The link leads in a circle.');
    }

    /** @return int the highest number whose commit was acknowledged */
    private function writeUntilKilled(\PDO $database, int $from, callable $kill): int
    {
        $n = $from;
        try {
            $insert = $database->prepare('INSERT INTO kept VALUES (?)');
            while (true) {
                $insert->execute([$n + 1]);
                $n++;
                if ($n === $from + 60) {
                    $kill();
                }
            }
        } catch (\PDOException) {
            return $n;
        }
    }

    private function awaitDatabase(): void
    {
        for ($tries = 0; $tries < 200; $tries++) {
            try {
                $this->sandbox->database();

                return;
            } catch (\PDOException) {
                usleep(100_000);
            }
        }
        self::fail('The database did not come back.');
    }

    private function rows(int $upTo): int
    {
        return (int) $this->sandbox->database()->query('SELECT COUNT(*) FROM kept WHERE n <= '.$upTo)->fetchColumn();
    }
}
