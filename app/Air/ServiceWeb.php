<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Cancellation;
use Amp\CancelledException;
use App\Web\PolledClient;
use SensitiveParameter;
use SilverParrot\Lookup\Answer;
use Symfony\Component\HttpClient\CurlHttpClient;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;

/** The streaming service's web service, at an address that whoever runs this has set: near, mostly. */
final class ServiceWeb
{
    private const LONGEST = 65_536;

    /** Seconds without a byte; longer than anybody waits. */
    private const PATIENCE = 60.0;

    private int $underWay = 0;

    private readonly PolledClient $client;

    /** @param  string  $key  shown where something is set; empty for none */
    public function __construct(
        private readonly string $address,
        #[SensitiveParameter]
        private readonly string $key = '',
    ) {
        $this->client = new PolledClient(new CurlHttpClient([], Capacity::REQUESTS));
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, array<array-key, mixed>|null} status, 0 where no answer came; what was answered, if it is JSON
     */
    public function ask(string $method, string $path, Cancellation $within, ?array $body = null): array
    {
        // Beyond its room the talker asks nobody: what could not be had is a gap, and no line waits for it.
        if ($this->underWay >= Capacity::REQUESTS) {
            return [0, null];
        }
        $this->underWay++;
        try {
            $within->throwIfRequested();
            $answer = $this->client->send(
                $method,
                "http://{$this->address}$path",
                // How long it may take says whoever asks.
                ['timeout' => self::PATIENCE] + ($body === null ? [] : [
                    'json' => $body,
                    'headers' => $this->key === '' ? [] : ['Authorization' => "Bearer {$this->key}"],
                ]),
                $within,
                self::LONGEST,
            );
        } catch (ExceptionInterface|CancelledException) {
            return [0, null];
        } finally {
            $this->underWay--;
        }
        $read = $answer instanceof Answer ? json_decode($answer->body, true, 8) : null;

        return [$answer instanceof Answer ? $answer->status : 0, is_array($read) ? $read : null];
    }
}
