<?php

declare(strict_types=1);

namespace App\Air\Streams;

use Amp\ByteStream\StreamException;
use Amp\CancelledException;
use Amp\Socket\ServerSocket;
use Amp\Socket\Socket;
use Amp\TimeoutCancellation;
use GuzzleHttp\Psr7\Message;
use GuzzleHttp\Psr7\Query;
use Illuminate\Database\Connection;
use SensitiveParameter;

use function Amp\async;

/**
 * Streams of events (HTML Standard, server-sent events) from the talker's own loop, so that no page ever holds a PHP
 * worker. Each is opened with a token and closed when its reader is no member of the channel any more.
 */
final class Streams
{
    private const LONGEST_HEAD = 8_192;

    private const HEAD_SECONDS = 5;

    private const MOST_READERS = 500;

    /** Events of each channel that somebody who lost the connection can still be told. */
    private const RECALLED = 100;

    /** @var array<int, Reader> */
    private array $readers = [];

    /** @var array<int, array<int, string>> events as they are written, by channel and number */
    private array $recalled = [];

    public function __construct(private readonly Connection $connection, #[SensitiveParameter] private readonly string $secret)
    {
    }

    public function serve(ServerSocket $server): void
    {
        while ($socket = $server->accept()) {
            async(fn () => $this->listen($socket));
        }
    }

    /** @param  array<string, int|string>  $data */
    public function publish(int $channel, int $number, string $event, array $data): void
    {
        $written = "id: $number\nevent: $event\ndata: ".json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE)."\n\n";
        if ($event === 'line') {
            $this->recalled[$channel][$number] = $written;
            if (count($this->recalled[$channel]) > self::RECALLED) {
                unset($this->recalled[$channel][array_key_first($this->recalled[$channel])]);
            }
        }
        foreach ($this->readers as $reader) {
            if ($reader->channel === $channel) {
                $reader->send($written);
            }
        }
    }

    public function beat(): void
    {
        foreach ($this->readers as $reader) {
            $reader->send(": still here\n\n");
        }
    }

    /** Whoever was taken out of a channel reads no further. */
    public function closeStrangers(): void
    {
        foreach ($this->readers as $reader) {
            $pairs["{$reader->user} {$reader->channel}"] = [$reader->user, $reader->channel];
        }
        foreach ($pairs ?? [] as [$user, $channel]) {
            if (! $this->isMember($user, $channel)) {
                foreach ($this->readers as $reader) {
                    if ($reader->user === $user && $reader->channel === $channel) {
                        $reader->close();
                    }
                }
            }
        }
    }

    private function isMember(int $user, int $channel): bool
    {
        return $this->connection->selectOne('SELECT 1 FROM memberships WHERE user_id = ? AND channel_id = ?', [$user, $channel]) !== null;
    }

    private function listen(Socket $socket): void
    {
        try {
            $reader = $this->admit($socket);
            if ($reader !== null) {
                $this->readers[spl_object_id($reader)] = $reader;
                // Nothing is read any more; that it ends is what is waited for.
                while (($bytes = $socket->read()) !== null && strlen($bytes) < self::LONGEST_HEAD) {
                }
            }
        } catch (StreamException|CancelledException) {
            // It has gone.
        } finally {
            if (isset($reader)) {
                unset($this->readers[spl_object_id($reader)]);
            }
            $socket->close();
        }
    }

    private function admit(Socket $socket): ?Reader
    {
        $within = new TimeoutCancellation(self::HEAD_SECONDS);
        $head = '';
        while (! str_contains($head, "\r\n\r\n") && strlen($head) < self::LONGEST_HEAD && ($bytes = $socket->read($within)) !== null) {
            $head .= $bytes;
        }
        try {
            $request = Message::parseRequest($head);
        } catch (\InvalidArgumentException) {
            return $this->refuse($socket, '400 Bad Request');
        }
        $query = Query::parse($request->getUri()->getQuery());
        $token = is_string($query['token'] ?? null) ? Token::read($query['token'], time(), $this->secret) : null;
        if ($request->getMethod() !== 'GET' || $request->getUri()->getPath() !== '/stream') {
            return $this->refuse($socket, $request->getMethod() === 'GET' ? '404 Not Found' : '405 Method Not Allowed');
        }
        if ($token === null || ! $this->isMember($token->user, $token->channel)) {
            return $this->refuse($socket, '403 Forbidden');
        }
        if (count($this->readers) >= self::MOST_READERS) {
            return $this->refuse($socket, '503 Service Unavailable');
        }
        // The token opens it, and nothing that a browser adds by itself; so any page may try.
        $socket->write("HTTP/1.1 200 OK\r\nContent-Type: text/event-stream\r\nCache-Control: no-store\r\nAccess-Control-Allow-Origin: *\r\nX-Content-Type-Options: nosniff\r\nConnection: close\r\n\r\nretry: 2000\n\n");
        $reader = new Reader($socket, $token->user, $token->channel);
        $after = $request->getHeaderLine('Last-Event-ID') ?: (is_string($query['after'] ?? null) ? $query['after'] : '');
        foreach ($this->recalled[$token->channel] ?? [] as $number => $event) {
            if (ctype_digit($after) && $number > (int) $after) {
                $reader->send($event);
            }
        }

        return $reader;
    }

    private function refuse(Socket $socket, string $status): null
    {
        $socket->write("HTTP/1.1 $status\r\nContent-Length: 0\r\nAccess-Control-Allow-Origin: *\r\nConnection: close\r\n\r\n");

        return null;
    }
}
