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
        for ($tries = 0; $tries < 200 && (Port::isFree($chat) || Port::isFree($details)); $tries++) {
            usleep(25_000);
        }

        return new self($process, $chat, $details);
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
