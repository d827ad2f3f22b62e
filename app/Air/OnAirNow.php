<?php

declare(strict_types=1);

namespace App\Air;

use WeakMap;

/** The channels that this talker speaks for, and the chats in which it hears them. */
final class OnAirNow
{
    /** @var array<int, ChannelOnAir> by the channel's number */
    private array $channels = [];

    /**
     * @var WeakMap<ChatConnection, array<string, array<int, ChannelOnAir>>> by the name there, then by the channel's
     *     number
     */
    private WeakMap $byChat;

    public function __construct()
    {
        $this->byChat = new WeakMap;
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
        $this->byChat = new WeakMap;
    }

    /** Once the connections are as the channels want them: who is heard where is looked up from then on. */
    public function seatAll(): void
    {
        $this->byChat = new WeakMap;
        foreach ($this->channels as $channel) {
            if ($channel->chat !== null && $channel->address !== null) {
                $named = $this->byChat[$channel->chat] ?? [];
                $named[$channel->address->name][$channel->id] = $channel;
                $this->byChat[$channel->chat] = $named;
            }
        }
    }

    /** @return array<int, ChannelOnAir> whose chat it is */
    public function in(ChatConnection $chat, string $name): array
    {
        return $this->byChat[$chat][$name] ?? [];
    }

    /**
     * What is whispered says of no channel: it belongs to the one that is heard here, and where several are, to the one
     * whose chat the person is in. Where that is none, or several, it is nobody's.
     */
    public function whisperedBy(ChatConnection $chat, string $nick): ?ChannelOnAir
    {
        $named = $this->byChat[$chat] ?? [];
        $here = count($named) === 1 ? $named : array_filter(
            $named,
            static fn (string|int $name): bool => $chat->roster((string) $name)?->holds($nick) === true,
            ARRAY_FILTER_USE_KEY,
        );
        $channels = count($here) === 1 ? current($here) : [];

        return count($channels) === 1 ? current($channels) : null;
    }
}
