<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;
use Amp\Cancellation;
use Amp\CancelledException;
use Amp\Socket\ConnectException;

use function Amp\Socket\connect;

/** Details from the streaming service's web service, asked without stopping the loop. */
final readonly class Details
{
    private const LONGEST = 65_536;

    public function __construct(private string $address)
    {
    }

    /** @return array<string, null|bool|int|string>|null null when they could not be had */
    public function ofChannel(string $login, Cancellation $within): ?array
    {
        return $this->get('/channels/'.rawurlencode($login), $within);
    }

    /** @return array<string, null|bool|int|string>|null null when they could not be had; empty for somebody it does not know */
    public function ofPerson(string $login, Cancellation $within): ?array
    {
        return $this->get('/people/'.rawurlencode($login), $within);
    }

    /** @return array<string, null|bool|int|string>|null */
    private function get(string $path, Cancellation $within): ?array
    {
        try {
            $socket = connect($this->address, cancellation: $within);
            $socket->write("GET $path HTTP/1.0\r\nHost: details\r\n\r\n");
            $answer = '';
            while (strlen($answer) < self::LONGEST && ($bytes = $socket->read($within)) !== null) {
                $answer .= $bytes;
            }
            $socket->close();
        } catch (ConnectException|StreamException|CancelledException) {
            return null;
        }
        [$head, $body] = explode("\r\n\r\n", $answer, 2) + [1 => ''];
        $status = explode(' ', $head)[1] ?? '';
        $read = $status === '200' ? json_decode($body, true, 8) : null;

        return match (true) {
            $status === '404' => [],
            is_array($read) => self::plain($read),
            default => null,
        };
    }

    /**
     * @param  array<array-key, mixed>  $read
     * @return array<string, null|bool|int|string> lists of texts with a line for each
     */
    private static function plain(array $read): array
    {
        $plain = [];
        foreach ($read as $name => $value) {
            if (is_array($value) && array_filter($value, is_string(...)) === $value) {
                $value = implode("\n", $value);
            }
            if (is_string($name) && ($value === null || is_bool($value) || is_int($value) || is_string($value))) {
                $plain[$name] = $value;
            }
        }

        return $plain;
    }
}
