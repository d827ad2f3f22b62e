<?php

declare(strict_types=1);

namespace Harbour;

use Amp\ByteStream\StreamException;
use Amp\Future;
use Amp\Socket\Socket;
use SilverParrot\Chat\Wire\IrcLine;

use function Amp\async;

/** Somebody connected to the chat server. */
final class Client
{
    public const LONGEST_BUFFER = 16_384;

    /** Bytes that may wait for a slow reader; beyond it the reader is cut off, and nobody else waits for it. */
    private const LONGEST_QUEUE = 1_048_576;

    private static int $count = 0;

    public readonly int $id;

    public string $nick = '';

    public string $password = '';

    /** The account it has proved to be; empty for none. */
    public string $account = '';

    /** The parts of its answer to AUTHENTICATE so far. */
    public string $answer = '';

    /** @var array<string, true> lower case, with their sign */
    public array $channels = [];

    public bool $negotiates = false;

    public bool $isWelcome = false;

    /** @var list<float> when it said something lately */
    public array $said = [];

    /** @var array<string, true> */
    private array $capabilities = [];

    private bool $hasUser = false;

    private string $queue = '';

    /** @var Future<void>|null */
    private ?Future $writing = null;

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
    public function grant(array $asked): void
    {
        foreach ($asked as $capability) {
            $this->capabilities[$capability] = true;
        }
    }

    /** A line from the server itself; the addressee comes first in it. */
    public function tell(string $command, string ...$params): void
    {
        $this->send(new IrcLine($command, array_values($params), ChatServer::NAME));
    }

    public function send(IrcLine $line): void
    {
        $this->queue .= $line->encode();
        if (strlen($this->queue) > self::LONGEST_QUEUE) {
            $this->socket->close();
        } else {
            $this->writing ??= async($this->write(...));
        }
    }

    /** Says what is left to say, and ends. */
    public function finish(): void
    {
        $this->writing?->await();
        $this->socket->close();
    }

    private function write(): void
    {
        try {
            while ($this->queue !== '') {
                [$bytes, $this->queue] = [$this->queue, ''];
                $this->socket->write($bytes);
            }
        } catch (StreamException) {
            // It has gone; its reading end notices.
        } finally {
            $this->writing = null;
        }
    }
}
