<?php

declare(strict_types=1);

namespace App\Air\Streams;

use Amp\ByteStream\StreamException;
use Amp\CancelledException;
use Amp\Socket\InternetAddress;
use Amp\Socket\ServerSocket;
use Amp\Socket\Socket;
use Amp\TimeoutCancellation;
use App\Air\Capacity;
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

    /** Events of each channel that somebody who lost the connection can still be told. */
    private const RECALLED = 100;

    /** @var array<int, StreamConnection> */
    private array $readers = [];

    /** @var array<int, array<int, string>> events as they are written, by channel and number */
    private array $recalled = [];

    private readonly Admission $admission;

    /** @param  list<string>  $proxies  addresses of proxies that stand before the port */
    public function __construct(
        private readonly Connection $connection,
        #[SensitiveParameter] private readonly string $secret,
        array $proxies = [],
    ) {
        $this->admission = new Admission($proxies);
    }

    public function serve(ServerSocket $server): void
    {
        while ($socket = $server->accept()) {
            $address = self::addressOf($socket);
            if ($this->admission->enter($address)) {
                async(fn () => $this->listen($socket, $address));
            } else {
                // Without waiting for it: what is full has no room for those who are turned away.
                $socket->close();
            }
        }
    }

    /** @return int connections that were turned away since it was asked last */
    public function turnedAway(): int
    {
        return $this->admission->turnedAway();
    }

    /** @param  array<string, int|string>  $data */
    public function publish(int $channel, int $number, string $event, array $data): void
    {
        $written =
            "id: $number\nevent: $event\ndata: "
            .json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE)
            ."\n\n";
        if ($event === 'line') {
            $this->recalled[$channel][$number] = $written;
            if (count($this->recalled[$channel]) > self::RECALLED) {
                unset($this->recalled[$channel][array_key_first($this->recalled[$channel])]);
            }
        }
        foreach ($this->readers as $reader) {
            if ($reader->token->channel === $channel) {
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

    /**
     * Whoever was taken out of a channel, has signed out or has a new password reads no further. One statement for all.
     */
    public function closeUnauthorised(): void
    {
        if ($this->readers === []) {
            return;
        }
        $stands = $this->standing(
            array_values(
                array_unique(
                    array_map(static fn (StreamConnection $reader): string => $reader->token->grant, $this->readers),
                ),
            ),
        );
        foreach ($this->readers as $reader) {
            if (! isset($stands[$reader->token->stands()])) {
                $reader->close();
            }
        }
    }

    /**
     * @param  list<string>  $grants
     * @return array<string, true> as Token::stands() says it
     */
    private function standing(array $grants): array
    {
        $marks = implode(',', array_fill(0, count($grants), '?'));
        $stands = [];
        /** @var object{id: string, user_id: int, channel_id: int} $row */
        foreach (
            $this->connection->select(
                'SELECT g.id, m.user_id, m.channel_id FROM stream_grants g JOIN memberships m ON m.user_id = '
                    ."g.user_id WHERE g.id IN ($marks) AND g.expires_at > UTC_TIMESTAMP()",
                $grants,
            ) as $row
        ) {
            $stands["{$row->user_id} {$row->channel_id} {$row->id}"] = true;
        }

        return $stands;
    }

    private function listen(Socket $socket, string $address): void
    {
        try {
            $reader = $this->admit($socket, $address);
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
            $this->admission->leave($address);
            $socket->close();
        }
    }

    /** @param  string  $address  becomes the one that a proxy tells */
    private function admit(Socket $socket, string &$address): ?StreamConnection
    {
        $within = new TimeoutCancellation(self::HEAD_SECONDS);
        $head = '';
        while (
            ! str_contains($head, "\r\n\r\n")
            && strlen($head) < self::LONGEST_HEAD
            && ($bytes = $socket->read($within)) !== null
        ) {
            $head .= $bytes;
        }
        try {
            $request = Message::parseRequest($head);
        } catch (\InvalidArgumentException) {
            return $this->refuse($socket, '400 Bad Request');
        }
        if ($this->admission->isProxy($address)) {
            $told = self::toldBy($request->getHeaderLine('X-Forwarded-For'));
            if (! $this->admission->told($address, $told)) {
                return $this->refuse($socket, '503 Service Unavailable');
            }
            $address = $told;
        }
        $query = Query::parse($request->getUri()->getQuery());
        $token = is_string($query['token'] ?? null) ? Token::read($query['token'], time(), $this->secret) : null;
        if ($request->getMethod() !== 'GET' || $request->getUri()->getPath() !== '/stream') {
            return $this->refuse($socket, $request->getMethod() === 'GET' ? '404 Not Found' : '405 Method Not Allowed');
        }
        if ($token === null || ! isset($this->standing([$token->grant])[$token->stands()])) {
            return $this->refuse($socket, '403 Forbidden');
        }
        if (
            count(
                array_filter(
                    $this->readers,
                    static fn (StreamConnection $reader): bool => $reader->token->user === $token->user,
                ),
            ) >= Capacity::READERS_A_PERSON
        ) {
            return $this->refuse($socket, '503 Service Unavailable');
        }
        // The token opens it, and nothing that a browser adds by itself; so any page may try.
        $reader = new StreamConnection($socket, $token);
        $reader->send(
            "HTTP/1.1 200 OK\r\nContent-Type: text/event-stream\r\nCache-Control: "
                ."no-store\r\nAccess-Control-Allow-Origin: *\r\nX-Content-Type-Options: nosniff\r\nReferrer-Policy: "
                ."no-referrer\r\nConnection: close\r\n\r\nretry: 2000\n\n",
        );
        $after =
            $request->getHeaderLine('Last-Event-ID') ?: (is_string($query['after'] ?? null) ? $query['after'] : '');
        foreach ($this->recalled[$token->channel] ?? [] as $number => $event) {
            if (ctype_digit($after) && strlen($after) < 19 && $number > (int) $after) {
                $reader->send($event);
            }
        }

        return $reader;
    }

    private static function addressOf(Socket $socket): string
    {
        $remote = $socket->getRemoteAddress();

        return $remote instanceof InternetAddress ? $remote->getAddress() : $remote->toString();
    }

    /** The last one is what the proxy itself has seen; what stands before it, anybody may have written. */
    private static function toldBy(string $forwarded): string
    {
        $last = trim((string) strrchr(",$forwarded", ','), ', ');

        return filter_var($last, FILTER_VALIDATE_IP) === false ? 'unknown' : $last;
    }

    private function refuse(Socket $socket, string $status): null
    {
        $again = str_starts_with($status, '503') ? "Retry-After: 15\r\n" : '';
        $socket->write(
            "HTTP/1.1 $status\r\n{$again}Content-Length: 0\r\nAccess-Control-Allow-Origin: "
                ."*\r\nX-Content-Type-Options: nosniff\r\nReferrer-Policy: no-referrer\r\nCache-Control: "
                ."no-store\r\nConnection: close\r\n\r\n",
        );

        return null;
    }
}
