<?php

declare(strict_types=1);

namespace App\Web;

use Amp\Cancellation;
use Amp\CancelledException;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Value\Moment;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\HttpClient\ResponseInterface;

use function Amp\delay;

/** One request after another by a client that is looked at again and again: the loop goes on meanwhile. */
final readonly class PolledClient
{
    /** Seconds between two looks at what came: a loop that never rests would be busy all the time. */
    private const LOOKS = 0.005;

    /** Seconds until a connection, and until anything comes. */
    private const PATIENCE = 2.0;

    /** What a body may be written in, besides UTF-8. */
    private const CHARSETS = ['iso-8859-1' => 'ISO-8859-1', 'windows-1252' => 'Windows-1252', 'utf-16' => 'UTF-16'];

    public function __construct(private HttpClientInterface $client)
    {
    }

    /**
     * @param  array<string, mixed>  $options  of the client
     * @return Answer|Trouble what came; or that it is more than is read
     *
     * @throws ExceptionInterface where nobody answers
     * @throws CancelledException
     */
    public function send(
        string $method,
        string $address,
        array $options,
        Cancellation $within,
        int $largest = Answer::LARGEST,
    ): Answer|Trouble {
        return $this->read($this->client->request($method, $address, $options + [
            'max_redirects' => 0,
            'no_proxy' => '*',
            'buffer' => false,
            'timeout' => self::PATIENCE,
            'http_version' => '1.1',
        ]), $within, $largest);
    }

    /** @throws ExceptionInterface|CancelledException */
    private function read(ResponseInterface $response, Cancellation $within, int $largest): Answer|Trouble
    {
        $body = '';
        try {
            do {
                foreach ($this->client->stream($response, 0.0) as $chunk) {
                    if ($chunk->isTimeout()) {
                        continue;
                    }
                    if ($chunk->isFirst()) {
                        // Looked at here, whatever it says: a status that says no is an answer too.
                        $response->getStatusCode();
                    }
                    $body .= $chunk->getContent();
                    if (strlen($body) > $largest) {
                        return Trouble::TooLarge;
                    }
                    if ($chunk->isLast()) {
                        return self::answer($response, $body);
                    }
                }
                delay(self::LOOKS, cancellation: $within);
            } while (true);
        } finally {
            $response->cancel();
        }
    }

    /** @throws ExceptionInterface */
    private static function answer(ResponseInterface $response, string $body): Answer
    {
        $headers = array_map(
            static fn (array $values): string => mb_scrub(implode(', ', $values)),
            $response->getHeaders(false),
        );
        $charset = preg_match('/charset\s*=\s*"?([\w-]+)/i', $headers['content-type'] ?? '', $found) === 1
            ? self::CHARSETS[strtolower($found[1])] ?? ''
            : '';

        return new Answer(
            $response->getStatusCode(),
            $headers,
            mb_scrub($charset === '' ? $body : mb_convert_encoding($body, 'UTF-8', $charset)),
            Moment::of(now()),
        );
    }
}
