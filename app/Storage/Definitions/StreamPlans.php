<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** The weekly plan of streams. */
final class StreamPlans implements Definition
{
    public function key(): string
    {
        return 'plan';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): array
    {
        return ['plan' => $channel->plan];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update(['plan' => $state['plan'] ?? null]);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $streams = static fn (?array $state): int => is_array($state['plan'] ?? null)
            && is_array($state['plan']['streams'] ?? null)
                ? count($state['plan']['streams'])
                : 0;

        return "the plan was changed, {$streams($before)} → {$streams($after)} streams";
    }
}
