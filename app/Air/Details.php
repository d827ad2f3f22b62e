<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;
use Amp\Cancellation;
use Amp\CancelledException;
use Amp\Socket\ConnectException;
use SilverParrot\Chat\Wire\Inbound;
use SilverParrot\Source\Limits;

use function Amp\Socket\connect;

/** Details from the streaming service's web service, asked without stopping the loop. */
final class Details
{
    private const LONGEST = 65_536;

    /** Details of one channel or person that are kept; a service has fewer. */
    private const MOST = 40;

    private int $underWay = 0;

    public function __construct(private readonly string $address)
    {
    }

    /** @return array<string, null|bool|int|string>|null null when they could not be had */
    public function ofChannel(string $login, Cancellation $within): ?array
    {
        return $this->get('/channels/'.rawurlencode($login), $within);
    }

    /**
     * @return array<string, null|bool|int|string>|null null when they could not be had; empty for somebody it does not
     *     know
     */
    public function ofPerson(string $login, Cancellation $within): ?array
    {
        return $this->get('/people/'.rawurlencode($login), $within);
    }

    /** @return array<string, null|bool|int|string>|null */
    private function get(string $path, Cancellation $within): ?array
    {
        // Beyond its room the talker asks nobody: what could not be had is a gap, and no line waits for it.
        if ($this->underWay >= Capacity::REQUESTS) {
            return null;
        }
        $this->underWay++;
        $socket = null;
        try {
            $socket = connect($this->address, cancellation: $within);
            $socket->write("GET $path HTTP/1.0\r\nHost: details\r\n\r\n");
            $answer = '';
            while (strlen($answer) < self::LONGEST && ($bytes = $socket->read($within)) !== null) {
                $answer .= $bytes;
            }
        } catch (ConnectException|StreamException|CancelledException) {
            return null;
        } finally {
            $this->underWay--;
            $socket?->close();
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
        foreach (array_slice($read, 0, self::MOST, true) as $name => $value) {
            if (is_array($value) && array_filter($value, is_string(...)) === $value) {
                $value = implode(
                    "\n",
                    array_map(
                        static fn (string $one): string => Inbound::text($one, Limits::NAME),
                        array_slice($value, 0, Limits::READING),
                    ),
                );
            } elseif (is_string($value)) {
                $value = Inbound::text($value, Limits::READING);
            }
            if (
                is_string($name)
                && strlen($name) <= Limits::NAME
                && ($value === null || is_bool($value) || is_int($value) || is_string($value))
            ) {
                $plain[$name] = $value;
            }
        }

        return $plain;
    }
}
