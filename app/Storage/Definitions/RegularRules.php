<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** How viewers become regulars by themselves. */
final class RegularRules implements Definition
{
    public function key(): string
    {
        return 'regulars';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): array
    {
        return [
            'lines' => $channel->regulars['lines'] ?? 0,
            'days' => $channel->regulars['days'] ?? 0,
            'hours' => $channel->regulars['hours'] ?? 0,
        ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update(['regulars' => (object) array_filter($state ?? [])]);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $told = static fn (?array $of, string $key): string => is_int($of[$key] ?? null) ? (string) $of[$key] : '0';

        return "regulars after {$told($before, 'lines')} → {$told($after, 'lines')} lines, "
            ."{$told($before, 'days')} → {$told($after, 'days')} days, "
            ."{$told($before, 'hours')} → {$told($after, 'hours')} hours";
    }
}
