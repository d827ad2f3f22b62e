<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use App\Models\EmoteRow;

/** An emote, by its word. */
final class Emotes implements Definition
{
    public function key(): string
    {
        return 'emotes';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->emotes()->where('word', $subject)->first();

        return $row === null
            ? null
            : [
                'stable_id' => $row->stable_id,
                'picture' => $row->picture,
                'any_of' => $row->any_of,
                'at_least' => $row->at_least,
            ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->emotes()->where('word', $subject)->delete();
        if ($state !== null) {
            EmoteRow::query()->create(['channel_id' => $channel->id, 'word' => $subject] + $state);
        }
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        return $subject.match (true) {
            $after === null => ' was dropped',
            $before === null => ' was added',
            default => ' was changed',
        };
    }
}
