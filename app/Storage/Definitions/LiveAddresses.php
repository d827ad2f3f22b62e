<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;
use Illuminate\Support\Str;

/** What live addresses show and how, by their numbers. Their tokens are secret, and stand in no history. */
final class LiveAddresses implements Definition
{
    public function key(): string
    {
        return 'live_addresses';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $channel->liveAddresses()->whereKey((int) $subject)->first();

        return $row === null ? null : ['shows' => $row->shows, 'look' => $row->look];
    }

    /** What was deleted comes back under another address: nobody can know the old one by then. */
    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $row = $channel->liveAddresses()->whereKey((int) $subject)->first();
        if ($state === null) {
            $row?->delete();
        } elseif ($row !== null) {
            $row->update($state);
        } else {
            $channel->liveAddresses()->create(['id' => (int) $subject, 'token' => self::token()] + $state);
        }
    }

    public static function token(): string
    {
        return bin2hex(random_bytes(24));
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $shows = ($after ?? $before)['shows'] ?? '';

        return '“'.Str::limit(is_string($shows) ? $shows : '', 60, '…').'”'.match (true) {
            $after === null => ' was deleted',
            $before === null => ' was made',
            default => ' was changed',
        };
    }
}
