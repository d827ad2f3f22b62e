<?php

declare(strict_types=1);

namespace Harbour;

use function Amp\async;

use Amp\Socket\ServerSocket;
use Amp\Socket\Socket;

/** A small web service for details of a channel: GET /channels/LOGIN. */
final readonly class DetailsServer
{
    private const LONGEST_HEAD = 8_192;

    /** @param  array<string, array<string, mixed>>  $channels by login */
    public function __construct(private array $channels)
    {
    }

    public function serve(ServerSocket $server): void
    {
        while ($socket = $server->accept()) {
            async(fn () => $this->answer($socket));
        }
    }

    private function answer(Socket $socket): void
    {
        $head = '';
        while (! str_contains($head, "\r\n\r\n") && strlen($head) < self::LONGEST_HEAD && ($bytes = $socket->read()) !== null) {
            $head .= $bytes;
        }
        $known = preg_match('~^GET /channels/([a-z0-9_]{1,60}) HTTP/1\.[01]\r\n~', $head, $asked) === 1 ? $this->channels[$asked[1]] ?? null : null;
        $body = json_encode($known ?? ['error' => 'not found'], JSON_THROW_ON_ERROR);
        $status = $known === null ? '404 Not Found' : '200 OK';
        $socket->write("HTTP/1.1 $status\r\nContent-Type: application/json\r\nContent-Length: ".strlen($body)."\r\nConnection: close\r\n\r\n$body");
        $socket->end();
    }
}
