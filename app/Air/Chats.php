<?php

declare(strict_types=1);

namespace App\Air;

use Closure;
use SilverParrot\Chat\Wire\IrcLine;

use function Amp\async;

/** The connections to chat servers: one for all channels that have the same server and name there. */
final class Chats
{
    /** @var array<string, ChatConnection> by what tells connections apart */
    private array $chats = [];

    /**
     * @param  Closure(IrcLine, ChatConnection): void  $hear
     * @param  string  $authorities  a file of certificates to trust besides the system's; empty for none
     */
    public function __construct(private readonly Closure $hear, private readonly string $authorities)
    {
    }

    /**
     * Those that nobody needs are ended.
     *
     * @param  array<int, ChannelOnAir>  $channels
     */
    public function serve(array $channels): void
    {
        $names = [];
        foreach ($channels as $channel) {
            if ($channel->address === null) {
                continue;
            }
            $key = $channel->address->connection();
            $channel->chat = $this->chats[$key] ?? $this->open($key, $channel->address);
            if ($channel->chat !== null) {
                $names[$key][] = $channel->address->name;
            }
        }
        foreach ($this->chats as $key => $chat) {
            if (isset($names[$key])) {
                $chat->beIn($names[$key]);
            } elseif ($channels !== []) {
                $chat->end();
                unset($this->chats[$key]);
            }
        }
    }

    public function ping(): void
    {
        foreach ($this->chats as $chat) {
            $chat->ping();
        }
    }

    public function end(): void
    {
        foreach ($this->chats as $chat) {
            $chat->end();
        }
    }

    private function open(string $key, ChatAddress $address): ?ChatConnection
    {
        if (count($this->chats) >= Capacity::CHATS) {
            return null;
        }
        $this->chats[$key] = $chat = new ChatConnection($address, $this->hear, $this->authorities);
        async(static fn () => $chat->stay());

        return $chat;
    }
}
