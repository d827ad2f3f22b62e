<?php

declare(strict_types=1);

namespace App\Air;

use WeakMap;

/** The channels that this talker speaks for, and the rooms in which it hears them. */
final class OnAirNow
{
    /** @var array<int, ChannelOnAir> by the channel's number */
    private array $channels = [];

    /** @var WeakMap<ChatConnection, array<string, array<int, ChannelOnAir>>> by room, then by the channel's number */
    private WeakMap $rooms;

    public function __construct()
    {
        $this->rooms = new WeakMap;
    }

    /** @return array<int, ChannelOnAir> by the channel's number */
    public function all(): array
    {
        return $this->channels;
    }

    public function get(int $number): ?ChannelOnAir
    {
        return $this->channels[$number] ?? null;
    }

    public function has(ChannelOnAir $channel): bool
    {
        return ($this->channels[$channel->id] ?? null) === $channel;
    }

    public function add(ChannelOnAir $channel): void
    {
        $this->channels[$channel->id] = $channel;
    }

    public function remove(int $number): void
    {
        unset($this->channels[$number]);
    }

    public function clear(): void
    {
        $this->channels = [];
        $this->rooms = new WeakMap;
    }

    /** Once the connections are as the channels want them: who is heard where is looked up from then on. */
    public function seatAll(): void
    {
        $this->rooms = new WeakMap;
        foreach ($this->channels as $channel) {
            if ($channel->chat !== null && $channel->address !== null) {
                $rooms = $this->rooms[$channel->chat] ?? [];
                $rooms[$channel->address->room][$channel->id] = $channel;
                $this->rooms[$channel->chat] = $rooms;
            }
        }
    }

    /** @return array<int, ChannelOnAir> whose chat it is */
    public function in(ChatConnection $chat, string $room): array
    {
        return $this->rooms[$chat][$room] ?? [];
    }
}
