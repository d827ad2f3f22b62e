<?php

declare(strict_types=1);

namespace Harbour;

use Amp\ByteStream\StreamException;
use Amp\Socket\Socket;
use SilverParrot\Chat\Wire\IrcLine;

/** Somebody connected to the chat server. */
final class Client
{
    public const LONGEST_BUFFER = 16_384;

    private static int $count = 0;

    public readonly int $id;

    public string $nick = '';

    public string $password = '';

    /** @var array<string, true> lower case, with their sign */
    public array $channels = [];

    public bool $negotiates = false;

    public bool $isWelcome = false;

    /** @var list<float> when it said something lately */
    public array $said = [];

    /** @var array<string, true> */
    private array $capabilities = [];

    private bool $hasUser = false;

    public function __construct(public readonly Socket $socket)
    {
        $this->id = ++self::$count;
    }

    public function withUser(): self
    {
        $this->hasUser = true;

        return $this;
    }

    public function withCapabilities(): self
    {
        $this->negotiates = false;

        return $this;
    }

    public function isReady(): bool
    {
        return ! $this->isWelcome && ! $this->negotiates && $this->hasUser && $this->nick !== '';
    }

    public function has(string $capability): bool
    {
        return isset($this->capabilities[$capability]);
    }

    /** @param  array<int, string>  $asked */
    public function grant(array $asked, string $nick, string $server): void
    {
        foreach ($asked as $capability) {
            $this->capabilities[$capability] = true;
        }
        $this->send(new IrcLine('CAP', [$nick, 'ACK', implode(' ', $asked)], $server));
    }

    public function send(IrcLine $line): void
    {
        try {
            $this->socket->write($line->encode());
        } catch (StreamException) {
            // It has gone; its reading end notices.
        }
    }
}
