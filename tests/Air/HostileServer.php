<?php

declare(strict_types=1);

namespace Tests\Air;

use Ground\Port;
use PHPUnit\Framework\Assert;

/** A chat server that means no good. It sends what it is told to, whether that is a line or not. */
final class HostileServer
{
    /** @var resource|null */
    private $client = null;

    private string $read = '';

    /** @param  resource  $server */
    private function __construct(private $server, public readonly int $port)
    {
    }

    public static function start(): self
    {
        $port = Port::near(26990);
        $server = stream_socket_server("tcp://127.0.0.1:$port", $code, $message);
        Assert::assertIsResource($server, $message);

        return new self($server, $port);
    }

    public function end(): void
    {
        if ($this->client !== null) {
            fclose($this->client);
        }
        fclose($this->server);
    }

    /** Lets the talker in, and into its channel. */
    public function welcome(
        string $nick,
        string $channel,
        string $capabilities = 'message-tags account-tag server-time',
    ): void {
        $this->accept();
        $this->await('USER ');
        $this->send(":hostile.example CAP * LS :$capabilities\r\n");
        $this->await('CAP REQ');
        $this->send(":hostile.example CAP * ACK :$capabilities\r\n");
        $this->await('CAP END');
        $this->send(":hostile.example 001 $nick :come closer\r\n");
        $this->await('JOIN #', 20);
        $this->send(":$nick!p@h JOIN #$channel\r\n:hostile.example 366 $nick #$channel :end\r\n");
    }

    public function accept(): void
    {
        if ($this->client !== null) {
            fclose($this->client);
        }
        $client = stream_socket_accept($this->server, 60);
        Assert::assertIsResource($client, 'the talker did not come');
        stream_set_blocking($client, false);
        $this->client = $client;
        $this->read = '';
    }

    /** @return bool false where the talker has left meanwhile */
    public function send(string $bytes, float $seconds = 20): bool
    {
        $end = microtime(true) + $seconds;
        while ($bytes !== '' && $this->client !== null) {
            $written = @fwrite($this->client, $bytes);
            if ($written === false || microtime(true) > $end) {
                return false;
            }
            $bytes = substr($bytes, $written);
            if ($written === 0) {
                $this->take();
                if ($this->isLeft()) {
                    return false;
                }
                usleep(500);
            }
        }

        return true;
    }

    /** Everything before this has been taken: the talker answers a question that came after it. */
    public function isTaken(string $mark): void
    {
        $this->send("PING :$mark\r\n");
        $this->await("PONG $mark");
    }

    public function await(string $part, float $seconds = 10): string
    {
        $end = microtime(true) + $seconds;
        while (! str_contains($this->read, $part)) {
            Assert::assertLessThan($end, microtime(true), "“{$part}” did not come: ".substr($this->read, -500));
            $this->take();
            usleep(2_000);
        }
        $read = $this->read;
        $this->read = '';

        return $read;
    }

    public function isLeft(): bool
    {
        $this->take();

        return $this->client === null || feof($this->client);
    }

    private function take(): void
    {
        if ($this->client !== null) {
            $this->read = substr($this->read.(string) stream_get_contents($this->client), -262_144);
        }
    }
}
