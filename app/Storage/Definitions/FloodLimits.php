<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** How often the parrot answers at most, over all commands. */
final class FloodLimits implements Definition
{
    public function key(): string
    {
        return 'limits';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): array
    {
        return ['flood_person' => $channel->flood_person, 'flood_channel' => $channel->flood_channel];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update($state ?? []);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $number = static fn (?array $of, string $key): string => is_int($of[$key] ?? null) ? (string) $of[$key] : '–';

        $told = static fn (string $key): string => $number($before, $key).' → '.$number($after, $key);

        return "answers to one person: {$told('flood_person')}, to everybody: {$told('flood_channel')}";
    }
}
