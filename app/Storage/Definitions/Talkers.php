<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use App\Models\Channel;

/** Accounts that talk by themselves, by their logins: nothing they say sets anything off. */
final class Talkers implements Definition
{
    /** As many as a pack document takes. */
    public const MOST = 100;

    public function key(): string
    {
        return 'talkers';
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): array
    {
        return ['logins' => $channel->talkers];
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $channel->update(['talkers' => self::logins($state)]);
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $more = array_diff(self::logins($after), self::logins($before));
        $less = array_diff(self::logins($before), self::logins($after));

        return $more !== []
            ? 'The parrot does not listen to '.implode(', ', $more)
            : 'The parrot listens to '.implode(', ', $less).' again';
    }

    /**
     * @param  array<string, mixed>|null  $state
     * @return list<string>
     */
    private static function logins(?array $state): array
    {
        $logins = is_array($state['logins'] ?? null) ? $state['logins'] : [];

        return array_values(array_filter($logins, is_string(...)));
    }
}
