<?php

declare(strict_types=1);

namespace Tests\Air;

use Ground\Port;
use PHPUnit\Framework\Assert;
use Tests\Ground\Sandbox;

/** The harbour as a process of its own. */
final class HarbourProcess
{
    public const KEY = 'the-key-of-the-tests';

    public const PARROT_KEY = 'the-key-of-the-parrot';

    /** In microseconds. */
    private const LONGEST_START = 60_000_000;

    private const LOOK_EVERY = 25_000;

    /** @param  resource  $process */
    private function __construct(private $process, public readonly int $chat, public readonly int $details)
    {
    }

    public static function start(string ...$options): self
    {
        return self::startNear(26880, ...$options);
    }

    /** @param  int  $port  suites that run side by side have ports of their own */
    public static function startNear(int $port, string ...$options): self
    {
        // Somebody else may take a port between our look and its own.
        for ($tries = 0; $tries < 5; $tries++) {
            $harbour = self::begin($port + 10 * $tries, ...$options);
            if ($harbour->listens()) {
                return $harbour;
            }
            $harbour->end();
        }
        Assert::fail('The harbour does not listen.');
    }

    private static function begin(int $port, string ...$options): self
    {
        $chat = Port::near($port);
        $details = Port::firstFreeFrom($chat + 1);
        $process = proc_open(
            [
                PHP_BINARY,
                Sandbox::project().'/harbour/run.php',
                "--chat-port=$chat",
                "--details-port=$details",
                '--pace=0',
                ...$options,
            ],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['redirect', 1]],
            $pipes,
            null,
            ['HARBOUR_KEY' => self::KEY, 'HARBOUR_PARROT_KEY' => self::PARROT_KEY] + getenv(),
        );
        Assert::assertIsResource($process);

        return new self($process, $chat, $details);
    }

    /** As long as it lives it is waited for: a busy machine takes its time. */
    private function listens(): bool
    {
        for ($waited = 0; $waited < self::LONGEST_START; $waited += self::LOOK_EVERY) {
            if (Port::answers($this->chat) && Port::answers($this->details)) {
                return proc_get_status($this->process)['running'];
            }
            if (! proc_get_status($this->process)['running']) {
                return false;
            }
            usleep(self::LOOK_EVERY);
        }

        return false;
    }

    public function end(): void
    {
        proc_terminate($this->process, SIGKILL);
        proc_close($this->process);
    }

    public function ask(string $path, string $key = ''): string
    {
        return (string) file_get_contents(
            "http://127.0.0.1:{$this->details}$path",
            false,
            stream_context_create([
                'http' => ['header' => "Authorization: Bearer $key", 'ignore_errors' => true, 'timeout' => 10],
            ]),
        );
    }

    /** @param  array<string, mixed>  $body */
    public function post(string $path, array $body, string $key = self::KEY): string
    {
        $json = json_encode($body, JSON_THROW_ON_ERROR);

        return (string) file_get_contents(
            "http://127.0.0.1:{$this->details}$path",
            false,
            stream_context_create([
                'http' => [
                    'method' => 'POST',
                    'header' => "Authorization: Bearer $key\r\nContent-Type: application/json",
                    'content' => $json,
                    'ignore_errors' => true,
                    'timeout' => 10,
                ],
            ]),
        );
    }
}
