<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\Assert;
use SilverParrot\Chat\Wire\IrcLine;

/** A viewer at the other end of the wire. */
final class ChatClient
{
    private string $buffer = '';

    /** @var list<array{string, string}> nick and text of what was said in the channel */
    public array $heard = [];

    /** @var array<string, array<string, string>> by what was said */
    private array $tags = [];

    /** @var list<IrcLine> everything else */
    public array $others = [];

    /** @param  resource  $socket */
    private function __construct(private $socket, private readonly string $channel)
    {
    }

    public static function join(int $port, string $nick, string $channel, string $capabilities = 'message-tags'): self
    {
        $socket = stream_socket_client("tcp://127.0.0.1:$port", $code, $message, 5);
        Assert::assertIsResource($socket, $message);
        stream_set_blocking($socket, false);
        $client = new self($socket, $channel);
        $client->send(
            'CAP LS 302',
            "NICK $nick",
            "USER $nick 0 * :$nick",
            ...$capabilities === '' ? [] : ["CAP REQ :$capabilities"],
            ...['CAP END', "JOIN #$channel"],
        );
        $client->await(
            static fn (self $self): bool => array_filter(
                $self->others,
                static fn (IrcLine $line): bool => $line->command === '366',
            ) !== [],
        );

        return $client;
    }

    public function send(string ...$lines): void
    {
        foreach ($lines as $line) {
            fwrite($this->socket, "$line\r\n");
        }
    }

    public function say(string $text): void
    {
        $this->send((new IrcLine('PRIVMSG', ["#{$this->channel}", $text]))->encode());
    }

    /** @return list<string> what an account said so far */
    public function saidBy(string $nick): array
    {
        $this->read();

        return array_values(
            array_map(
                static fn (array $one): string => $one[1],
                array_filter($this->heard, static fn (array $one): bool => $one[0] === $nick),
            ),
        );
    }

    /** @return array<string, string> */
    public function tagsOf(string $text): array
    {
        return $this->tags[$text] ?? [];
    }

    /** @param  callable(self): bool  $until */
    public function await(callable $until, float $seconds = 30): bool
    {
        $end = microtime(true) + $seconds;
        do {
            $this->read();
            if ($until($this)) {
                return true;
            }
            usleep(5_000);
        } while (microtime(true) < $end);

        return false;
    }

    public function awaitSaying(string $part, float $seconds = 30): string
    {
        $found = '';
        $this->await(function () use ($part, &$found): bool {
            foreach ($this->heard as [, $text]) {
                if (str_contains($text, $part)) {
                    $found = $text;
                }
            }

            return $found !== '';
        }, $seconds);
        Assert::assertNotSame('', $found, "nobody said “{$part}”: ".json_encode($this->heard));

        return $found;
    }

    public function isGone(): bool
    {
        return feof($this->socket);
    }

    private function read(): void
    {
        $this->buffer .= (string) stream_get_contents($this->socket);
        while (($end = strpos($this->buffer, "\n")) !== false) {
            $line = IrcLine::parse(substr($this->buffer, 0, $end));
            $this->buffer = substr($this->buffer, $end + 1);
            if ($line?->command === 'PRIVMSG') {
                $this->heard[] = [$line->nick(), $line->param(1)];
                $this->tags[$line->param(1)] = $line->tags;
            } elseif ($line !== null) {
                $this->others[] = $line;
            }
        }
    }
}
