<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** How long what was heard and said is kept. */
final class Keeping implements Definition
{
    public function key(): string
    {
        return 'keeping';
    }

    public function isForTheStreamer(): bool
    {
        return true;
    }

    public function read(Channel $channel, string $subject): array
    {
        return ['keep_days' => $channel->keep_days];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update($state ?? []);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $days = static fn (?array $of): string => is_int($of['keep_days'] ?? null) ? (string) $of['keep_days'] : '–';

        return "lines are kept for {$days($before)} → {$days($after)} days";
    }
}
