<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Casts\AsLevels;
use App\Models\Channel;

/** Somebody in the cast, by their login. */
final class Cast implements Definition
{
    public function key(): string
    {
        return 'cast';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->castMembers()->where('login', $subject)->first();

        return $row === null
            ? null
            : [
                'position' => $row->position,
                'name' => $row->name,
                'levels' => json_decode(AsLevels::write($row->levels), true),
                'tier' => $row->tier,
                'habits' => $row->habits,
                'record' => $row->record,
                'details' => $row->details,
            ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->castMembers()->where('login', $subject)->delete();
        if ($state !== null) {
            $channel->castMembers()->create(
                ['login' => $subject, 'levels' => AsLevels::read(json_encode($state['levels'] ?? []))] + $state,
            );
        }
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        return $subject.match (true) {
            $after === null => ' was removed',
            $before === null => ' was added',
            default => ' was changed',
        };
    }
}
