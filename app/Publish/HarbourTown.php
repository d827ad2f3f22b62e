<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Factory;
use Illuminate\Http\Client\PendingRequest;

/**
 * The simulated service, as whoever owns the machine may use it: write as one of its people, change the channel, cause
 * troubles.
 */
final readonly class HarbourTown
{
    private const SECONDS = 5;

    public function __construct(private Factory $http, private Repository $config)
    {
    }

    /**
     * @return array{title: string, category: string, categories: list<string>, live: bool, pace: float,
     *     people: list<array{login: string, name: string, levels: list<string>}>, troubles: array<string, int>}|null
     *     null when the harbour does not answer, or knows no such channel
     */
    public function look(Channel $channel): ?array
    {
        $details = $this->get('/channels/'.rawurlencode($channel->login));
        $people = $this->get('/channels/'.rawurlencode($channel->login).'/people');

        /**
         * @var array{title: string, category: string, categories: list<string>, live: bool, pace: float,
         *     people: list<array{login: string, name: string, levels: list<string>}>,
         *     troubles: array<string, int>}|null $seen
         */
        $seen = $details === null || $people === null ? null : $people + $details;

        return $seen;
    }

    /** @param  bool  $isWhisper  whether it is said to the parrot alone */
    public function say(Channel $channel, string $as, string $text, bool $isWhisper = false): bool
    {
        return $this->post(
            '/channels/'.rawurlencode($channel->login).'/lines',
            ['as' => $as, 'text' => $text] + ($isWhisper ? ['to' => $channel->parrot] : []),
        );
    }

    /** @param  array<string, bool|string>  $changes  title, category, live */
    public function change(Channel $channel, array $changes): bool
    {
        return $this->post('/channels/'.rawurlencode($channel->login), $changes);
    }

    public function pace(int $linesAMinute): bool
    {
        return $this->post('/pace', ['lines_a_minute' => $linesAMinute]);
    }

    public function trouble(string $kind, int $seconds): bool
    {
        return $this->post('/troubles', ['kind' => $kind, 'seconds' => $seconds]);
    }

    /** @return array<array-key, mixed>|null */
    private function get(string $path): ?array
    {
        try {
            $answer = $this->asOwner()->get($this->url($path));
        } catch (ConnectionException) {
            return null;
        }
        $read = $answer->successful() ? $answer->json() : null;

        return is_array($read) ? $read : null;
    }

    /** @param  array<string, bool|int|string>  $body */
    private function post(string $path, array $body): bool
    {
        try {
            return $this->asOwner()->post($this->url($path), $body)->successful();
        } catch (ConnectionException) {
            return false;
        }
    }

    /** Its troubles are for the parrot, and not for whoever causes them. */
    private function asOwner(): PendingRequest
    {
        return $this->http->timeout(self::SECONDS)->withToken($this->config->string('air.harbour_key'));
    }

    private function url(string $path): string
    {
        return 'http://'.$this->config->string('air.harbour').$path;
    }
}
