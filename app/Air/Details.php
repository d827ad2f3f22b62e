<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;
use Amp\CancelledException;

use function Amp\Socket\connect;

use Amp\Socket\ConnectException;
use Amp\TimeoutCancellation;

/** Details of a channel from the streaming service's web service, asked without stopping the loop. */
final readonly class Details
{
    private const SECONDS = 3;

    private const LONGEST = 65_536;

    public function __construct(private string $address)
    {
    }

    /** @return array<string, null|bool|int|string>|null null when it could not be had */
    public function of(string $login): ?array
    {
        $within = new TimeoutCancellation(self::SECONDS);
        try {
            $socket = connect($this->address, cancellation: $within);
            $socket->write('GET /channels/'.rawurlencode($login)." HTTP/1.0\r\nHost: details\r\n\r\n");
            $answer = '';
            while (strlen($answer) < self::LONGEST && ($bytes = $socket->read($within)) !== null) {
                $answer .= $bytes;
            }
            $socket->close();
        } catch (ConnectException|StreamException|CancelledException) {
            return null;
        }
        [$head, $body] = explode("\r\n\r\n", $answer, 2) + [1 => ''];
        $read = str_contains(explode("\r\n", $head)[0], ' 200 ') ? json_decode($body, true, 8) : null;

        return is_array($read) ? array_filter($read, static fn (mixed $value, int|string $name): bool => is_string($name) && (is_scalar($value) || $value === null) && ! is_float($value), ARRAY_FILTER_USE_BOTH) : null;
    }
}
