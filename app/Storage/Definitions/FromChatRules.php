<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** What those who change commands in the chat may, and whether it waits for the streamer’s yes. */
final class FromChatRules implements Definition
{
    private const TOLD = ['look_ups' => 'look-ups', 'memory' => 'changing memory', 'waits' => 'waiting for a yes'];

    public function key(): string
    {
        return 'from-chat';
    }

    public function isForTheStreamer(): bool
    {
        return true;
    }

    public function read(Channel $channel, string $subject): array
    {
        $rules = $channel->from_chat ?? [];

        return array_map(static fn (string $key): bool => $rules[$key] ?? false, array_combine(
            array_keys(self::TOLD),
            array_keys(self::TOLD),
        ));
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update(['from_chat' => (object) array_filter($state ?? [])]);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $told = [];
        foreach (self::TOLD as $key => $what) {
            if (($before[$key] ?? false) !== ($after[$key] ?? false)) {
                $told[] = $what.(($after[$key] ?? false) === true ? ' switched on' : ' switched off');
            }
        }

        return implode(', ', $told);
    }
}
