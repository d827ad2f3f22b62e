<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use SilverParrot\Source\Fold;

/** Ranks of one field, by its name. */
final class Ladders implements Definition
{
    public function key(): string
    {
        return 'ladders';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->ladders()->where('name_folded', Fold::caseless($subject))->first();

        return $row === null
            ? null
            : [
                'stable_id' => $row->stable_id,
                'name' => $row->name,
                'ranks' => $row->ranks,
                'by_ever_earned' => $row->by_ever_earned,
                'is_on' => $row->is_on,
                'rises' => $row->rises,
                'falls' => $row->falls,
            ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $folded = Fold::caseless($subject);
        $row = $channel->ladders()->where('name_folded', $folded)->first();
        if ($state === null) {
            $row?->delete();
        } elseif ($row !== null) {
            $row->update($state);
        } else {
            $named = ['name_folded' => $folded, 'stable_id' => $subject, 'name' => $subject];
            $channel->ladders()->create([...$named, ...$state]);
        }
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        return "ranks by $subject".match (true) {
            $after === null => ' were deleted',
            $before === null => ' were made',
            default => ' were changed',
        };
    }
}
