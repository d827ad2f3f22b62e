<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;
use Amp\Socket\Socket;

use function Amp\async;

/**
 * Writes to a peer without ever waiting for it. What it is too slow for waits in a bounded queue; beyond that it is cut
 * off.
 */
final class BoundedWriter
{
    private string $queue = '';

    private bool $isWriting = false;

    /** @param  int  $most  bytes that may wait */
    public function __construct(private readonly Socket $socket, private readonly int $most)
    {
    }

    /** @return bool false where the peer has gone, or is cut off for this */
    public function send(string $bytes): bool
    {
        if ($this->socket->isClosed()) {
            return false;
        }
        $this->queue .= $bytes;
        if (strlen($this->queue) > $this->most) {
            $this->socket->close();

            return false;
        }
        if (! $this->isWriting) {
            $this->isWriting = true;
            async($this->write(...));
        }

        return true;
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
