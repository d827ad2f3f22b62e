<?php

declare(strict_types=1);

namespace App\Air\Streams;

use Amp\ByteStream\StreamException;
use Amp\Socket\Socket;

use function Amp\async;

/** A page that reads along. What it is too slow for waits in a bounded buffer; beyond that it is cut off and comes back. */
final class Reader
{
    private const LONGEST_QUEUE = 262_144;

    private string $queue = '';

    private bool $isWriting = false;

    public function __construct(private readonly Socket $socket, public readonly int $user, public readonly int $channel)
    {
    }

    public function send(string $bytes): void
    {
        if ($this->socket->isClosed()) {
            return;
        }
        $this->queue .= $bytes;
        if (strlen($this->queue) > self::LONGEST_QUEUE) {
            $this->close();
        } elseif (! $this->isWriting) {
            $this->isWriting = true;
            async($this->write(...));
        }
    }

    public function close(): void
    {
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
            // It has gone.
        } finally {
            $this->isWriting = false;
        }
    }
}
