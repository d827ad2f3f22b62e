<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use SilverParrot\Hearing\Gates\GateSettings;

/** What is said where a gate is closed, of all commands that have no reply of their own for it. */
final class RefusalReplies implements Definition
{
    public function key(): string
    {
        return 'refusals';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): array
    {
        $texts = $channel->refusals ?? [];

        return [
            'items' => array_map(
                static fn (string $key, string $text): array => ['key' => $key, 'text' => $text],
                array_keys($texts),
                array_values($texts),
            ),
        ];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update(['refusals' => (object) self::texts($state)]);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        [$old, $new] = [self::texts($before), self::texts($after)];
        $told = [];
        foreach (GateSettings::refusals() as $key => $refusal) {
            if (($old[$key] ?? '') !== ($new[$key] ?? '')) {
                $told[] = lcfirst($refusal->when).': “'.($old[$key] ?? '').'” → “'.($new[$key] ?? '').'”';
            }
        }

        return 'replies: '.implode('; ', $told);
    }

    /**
     * @param  array<array-key, mixed>|null  $state
     * @return array<string, string> by the refusal’s key
     */
    private static function texts(?array $state): array
    {
        $texts = [];
        foreach (is_array($state['items'] ?? null) ? $state['items'] : [] as $item) {
            if (is_array($item) && is_string($item['key'] ?? null) && is_string($item['text'] ?? null)) {
                $texts[$item['key']] = $item['text'];
            }
        }

        return $texts;
    }
}
