<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\LevelRule;

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
                'any_of' => array_map(static fn (Level $level): string => $level->word(), $row->levels->anyOf),
                'at_least' => $row->levels->atLeast?->word(),
            ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->emotes()->where('word', $subject)->delete();
        if ($state !== null) {
            $atLeast = $state['at_least'] ?? null;
            $channel->emotes()->create([
                'word' => $subject,
                'stable_id' => $state['stable_id'] ?? $subject,
                'picture' => $state['picture'] ?? '',
                'levels' => new LevelRule(
                    Level::allNamed(is_array($state['any_of'] ?? null) ? $state['any_of'] : []),
                    is_string($atLeast) ? Level::named($atLeast) : null,
                ),
            ]);
        }
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        return $subject.match (true) {
            $after === null => ' was deleted',
            $before === null => ' was added',
            default => ' was changed',
        };
    }
}
