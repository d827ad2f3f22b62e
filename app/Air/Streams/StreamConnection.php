<?php

declare(strict_types=1);

namespace App\Air\Streams;

use Amp\Socket\Socket;
use App\Air\BoundedWriter;

/** A page that reads along. One that is too slow is cut off, and comes back. */
final readonly class StreamConnection
{
    private const LONGEST_QUEUE = 262_144;

    private BoundedWriter $writer;

    public function __construct(private Socket $socket, public Token $token)
    {
        $this->writer = new BoundedWriter($socket, self::LONGEST_QUEUE);
    }

    public function send(string $bytes): void
    {
        $this->writer->send($bytes);
    }

    public function close(): void
    {
        $this->socket->close();
    }
}
