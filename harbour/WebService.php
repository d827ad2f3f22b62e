<?php

declare(strict_types=1);

namespace Harbour;

use Amp\ByteStream\StreamException;
use Amp\CancelledException;
use Amp\Socket\ServerSocket;
use Amp\Socket\Socket;
use Amp\TimeoutCancellation;
use GuzzleHttp\Psr7\Message;
use Psr\Http\Message\RequestInterface;

use function Amp\async;
use function Amp\delay;

/**
 * A small web service. Anybody may ask: GET /channels/LOGIN, /channels/LOGIN/people, /channels/LOGIN/marks,
 * /people/LOGIN. Whoever has the key (Authorization: Bearer) may also write as one of the people, change the channel
 * and the pace, and cause troubles. The parrot has a key of its own, with which it sets title, category and tags of a
 * channel, and marks moments, some times a minute. Tame web sources stand below /sources.
 */
final class WebService
{
    private const LONGEST_HEAD = 8_192;

    private const LONGEST_BODY = 8_192;

    private const PATIENCE_SECONDS = 5;

    private const CHANGES_A_MINUTE = 30;

    /** @var list<float> when the parrot set something in the last minute */
    private array $changes = [];

    public function __construct(
        private readonly Town $town,
        private readonly ChatServer $chat,
        private readonly Troubles $troubles,
        private readonly string $key,
        private readonly string $parrotKey,
        private readonly Sources $sources = new Sources,
    ) {
    }

    public function serve(ServerSocket $server): void
    {
        while ($socket = $server->accept()) {
            async(fn () => $this->answer($socket));
        }
    }

    private function answer(Socket $socket): void
    {
        try {
            $request = $this->read($socket);
            $source = $request === null ? null : $this->source($request);
            if ($source !== null) {
                $socket->write($source);
                $socket->end();

                return;
            }
            [$status, $body] =
                $request === null ? ['400 Bad Request', ['error' => 'not understood']] : $this->route($request);
            $this->troubles->beLate('slow', Troubles::SLOW_SECONDS);
            $json = json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
            $socket->write(
                "HTTP/1.1 $status\r\nContent-Type: application/json\r\nContent-Length: "
                    .strlen($json)
                    ."\r\nConnection: close\r\n\r\n$json",
            );
            $socket->end();
        } catch (StreamException|CancelledException) {
            $socket->close();
        }
    }

    /** @return string|null an answer of one of the web sources; null for what is none of theirs */
    private function source(RequestInterface $request): ?string
    {
        $path = $request->getUri()->getPath();
        if (! in_array($request->getMethod(), ['GET', 'HEAD'], true) || ! str_starts_with($path, '/sources/')) {
            return null;
        }
        parse_str($request->getUri()->getQuery(), $query);
        [$status, $headers, $body, $seconds] = $this->sources->answer(
            substr($path, strlen('/sources/')),
            array_filter($query, is_string(...)),
            $request->getHeaderLine('X-Yard-Key'),
            time(),
        );
        if ($seconds > 0) {
            delay($seconds);
        }
        if (isset($headers['ETag']) && $request->getHeaderLine('If-None-Match') === $headers['ETag']) {
            [$status, $body] = [304, ''];
        }
        $head = "HTTP/1.1 $status Answer\r\nContent-Length: ".strlen($body)."\r\nConnection: close\r\n";
        foreach ($headers as $name => $value) {
            $head .= "$name: $value\r\n";
        }

        return "$head\r\n$body";
    }

    private function read(Socket $socket): ?RequestInterface
    {
        $within = new TimeoutCancellation(self::PATIENCE_SECONDS);
        $text = '';
        while (
            ! str_contains($text, "\r\n\r\n")
            && strlen($text) < self::LONGEST_HEAD
            && ($bytes = $socket->read($within)) !== null
        ) {
            $text .= $bytes;
        }
        [$head, $body] = explode("\r\n\r\n", $text, 2) + [1 => ''];
        $length =
            preg_match('/^Content-Length:\s*(\d{1,6})\s*$/mi', $head, $found) === 1
                ? min(self::LONGEST_BODY, (int) $found[1])
                : 0;
        while (strlen($body) < $length && ($bytes = $socket->read($within)) !== null) {
            $body .= $bytes;
        }
        try {
            return Message::parseRequest("$head\r\n\r\n".substr($body, 0, $length));
        } catch (\InvalidArgumentException) {
            return null;
        }
    }

    /** @return array{string, array<array-key, mixed>} */
    private function route(RequestInterface $request): array
    {
        // Whoever owns the harbour goes on steering it.
        if ($this->troubles->has('refuse') && ! $this->isOwners($request)) {
            return ['503 Service Unavailable', ['error' => 'refused']];
        }
        $path = explode('/', trim($request->getUri()->getPath(), '/'));
        if ($request->getMethod() === 'GET') {
            $found = match (true) {
                count($path) === 2 && $path[0] === 'channels' => $this->town->channel($path[1]),
                count($path) === 3 && $path[0] === 'channels' && $path[2] === 'people' => $this->town->channel(
                    $path[1],
                ) === null
                    ? null
                    : $this->people(),
                count($path) === 3 && $path[0] === 'channels' && $path[2] === 'marks' => $this->town->marks($path[1]),
                count($path) === 2 && $path[0] === 'people' => $this->town->crowd->viewer($path[1])?->details(),
                default => null,
            };

            return $found === null ? ['404 Not Found', ['error' => 'not found']] : ['200 OK', $found];
        }
        $asked = json_decode((string) $request->getBody(), true);
        $asked = is_array($asked) ? $asked : [];
        if ($request->getMethod() === 'POST' && $this->isParrots($request)) {
            return $this->byParrot($path, $asked);
        }
        if ($request->getMethod() !== 'POST' || ! $this->isOwners($request)) {
            return ['403 Forbidden', ['error' => 'not allowed']];
        }
        $isDone = match (true) {
            count($path) === 3 && $path[0] === 'channels' && $path[2] === 'lines' => $this->line($path[1], $asked),
            count($path) === 2 && $path[0] === 'channels' => is_array($this->town->change($path[1], $asked)),
            $path === ['pace'] => $this->pace($asked),
            $path === ['troubles'] => $this->trouble($asked),
            $path === ['sources', 'troubles'] => $this->troubleSource($asked),
            default => false,
        };

        return $isDone ? ['200 OK', ['done' => true]] : ['422 Unprocessable Content', ['error' => 'not understood']];
    }

    /**
     * @param  list<string>  $path
     * @param  array<array-key, mixed>  $asked
     * @return array{string, array<array-key, mixed>}
     */
    private function byParrot(array $path, array $asked): array
    {
        $now = hrtime(true) / 1e9;
        $this->changes = array_values(array_filter($this->changes, static fn (float $at): bool => $at > $now - 60));
        if ($this->troubles->has('deny') || $path[0] !== 'channels' || ! isset($path[1])) {
            return ['403 Forbidden', ['error' => 'not allowed']];
        }
        if (count($this->changes) >= self::CHANGES_A_MINUTE) {
            return ['429 Too Many Requests', ['error' => 'too many']];
        }
        $this->changes[] = $now;
        $done = match (true) {
            count($path) === 2 => $this->town->change($path[1], array_diff_key($asked, ['live' => true])),
            count($path) === 3 && $path[2] === 'marks' => $this->town->mark(
                $path[1],
                is_string($asked['text'] ?? null) ? $asked['text'] : '',
            ),
            default => Town::NOT_FOUND,
        };

        return match ($done) {
            Town::NOT_FOUND => ['404 Not Found', ['error' => $done]],
            Town::NO_CATEGORY => [
                '422 Unprocessable Content',
                ['error' => $done, 'categories' => array_keys(Town::CATEGORIES)],
            ],
            Town::NOT_LIVE => ['409 Conflict', ['error' => $done]],
            default => is_array($done)
                ? ['200 OK', $done]
                : ['422 Unprocessable Content', ['error' => 'not understood']],
        };
    }

    private function isParrots(RequestInterface $request): bool
    {
        return $this->parrotKey !== ''
            && hash_equals("Bearer {$this->parrotKey}", $request->getHeaderLine('Authorization'));
    }

    private function isOwners(RequestInterface $request): bool
    {
        return $this->key !== '' && hash_equals("Bearer {$this->key}", $request->getHeaderLine('Authorization'));
    }

    /** @return array<string, mixed> */
    private function people(): array
    {
        return [
            'people' => array_map(
                static fn (Viewer $viewer): array => [
                    'login' => $viewer->login,
                    'name' => $viewer->name,
                    'levels' => $viewer->levels,
                ],
                $this->town->crowd->viewers,
            ),
            'here' => array_map(static fn (Viewer $viewer): string => $viewer->login, $this->town->crowd->present()),
            'pace' => $this->town->pace,
            'troubles' => (object) $this->troubles->lasting(),
        ];
    }

    /** @param  array<array-key, mixed>  $asked */
    private function line(string $channel, array $asked): bool
    {
        $viewer = is_string($asked['as'] ?? null) ? $this->town->crowd->viewer($asked['as']) : null;
        if (
            $viewer === null
            || ! is_string($asked['text'] ?? null)
            || trim($asked['text']) === ''
            || mb_strlen($asked['text']) > Limits::LONGEST
            || $this->town->channel($channel) === null
        ) {
            return false;
        }
        // To one of those in the chat alone, where it says to whom.
        $to = is_string($asked['to'] ?? null) && preg_match('/^[\w-]{1,40}$/D', $asked['to']) === 1 ? $asked['to'] : '';
        $this->chat->hear($viewer, $to === '' ? "#$channel" : $to, $asked['text']);

        return true;
    }

    /** @param  array<array-key, mixed>  $asked */
    private function pace(array $asked): bool
    {
        $pace = $asked['lines_a_minute'] ?? null;
        if ((! is_int($pace) && ! is_float($pace)) || $pace < 0 || $pace > Town::FASTEST) {
            return false;
        }
        $this->town->pace = (float) $pace;

        return true;
    }

    /** @param  array<array-key, mixed>  $asked */
    private function trouble(array $asked): bool
    {
        if (! in_array($asked['kind'] ?? null, Troubles::KINDS, true)) {
            return false;
        }
        $this->troubles->begin(
            (string) $asked['kind'],
            min(120, max(1, is_int($asked['seconds'] ?? null) ? $asked['seconds'] : 10)),
        );
        if ($asked['kind'] === 'drop') {
            $this->chat->dropAll();
        }

        return true;
    }

    /** @param  array<array-key, mixed>  $asked */
    private function troubleSource(array $asked): bool
    {
        [$source, $kind, $seconds] = [$asked['source'] ?? '', $asked['kind'] ?? '', $asked['seconds'] ?? null];
        if (! is_string($source) || ! is_string($kind) || ! is_numeric($seconds) || $seconds < 0 || $seconds > 3_600) {
            return false;
        }
        $this->sources->trouble($source, $kind, (float) $seconds);

        return true;
    }
}
