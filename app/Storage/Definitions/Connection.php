<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/**
 * Where the parrot speaks. The secret stands in no history: it is kept where the server and account stay, and given
 * anew elsewhere.
 */
final class Connection implements Definition
{
    public function key(): string
    {
        return 'connection';
    }

    public function isForTheStreamer(): bool
    {
        return true;
    }

    public function read(Channel $channel, string $subject): array
    {
        return ['server' => $channel->chat_server];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $server = is_array($state['server'] ?? null) ? $state['server'] : null;
        $isSame =
            $server !== null
            && array_intersect_key($server, ['host' => 1, 'port' => 1, 'account' => 1])
                == array_intersect_key($channel->chat_server ?? [], ['host' => 1, 'port' => 1, 'account' => 1]);
        $channel->update(['chat_server' => $server, 'chat_secret' => $isSame ? $channel->chat_secret : null]);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $where = static fn (?array $state): string => is_array($state['server'] ?? null)
        && is_string($state['server']['host'] ?? null)
            ? $state['server']['host']
            : 'the harbour';

        return "from {$where($before)} to {$where($after)}";
    }
}
