<?php

declare(strict_types=1);

namespace App\Air;

use Closure;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SplQueue;

use function Amp\async;

/**
 * Lines that came and wait to be heard. Each turn of the loop hears one of each channel, so a flood in one delays the
 * others by no more than its own line; what a channel has beyond its room is dropped and counted.
 */
final class Inbox
{
    /** @var array<int, array{ChannelOnAir, SplQueue<ChatLine>}> by the channel's number */
    private array $waiting = [];

    /** @var array<int, int> lines that wait for the outside, by the channel's number */
    private array $underWay = [];

    private bool $isScheduled = false;

    /** @param  Closure(ChannelOnAir, ChatLine): void  $hear */
    public function __construct(private readonly Closure $hear)
    {
    }

    public function add(ChannelOnAir $channel, ChatLine $line): void
    {
        /** @var SplQueue<ChatLine> $queue */
        $queue = $this->waiting[$channel->id][1] ?? new SplQueue;
        if (count($queue) >= Capacity::LINES_WAITING) {
            $channel->troubles->dropped++;

            return;
        }
        $queue->enqueue($line);
        $this->waiting[$channel->id] = [$channel, $queue];
        $this->schedule();
    }

    private function schedule(): void
    {
        if (! $this->isScheduled) {
            $this->isScheduled = true;
            EventLoop::defer($this->turn(...));
        }
    }

    private function turn(): void
    {
        $this->isScheduled = false;
        foreach ($this->waiting as $id => [$channel, $queue]) {
            if (($this->underWay[$id] ?? 0) >= Capacity::LINES_UNDER_WAY) {
                continue;
            }
            $line = $queue->dequeue();
            if ($queue->isEmpty()) {
                unset($this->waiting[$id]);
            }
            $this->underWay[$id] = ($this->underWay[$id] ?? 0) + 1;
            // In a fiber of its own: one that waits for the outside holds up nobody else.
            async(function () use ($id, $channel, $line): void {
                try {
                    ($this->hear)($channel, $line);
                } finally {
                    if (--$this->underWay[$id] === 0) {
                        unset($this->underWay[$id]);
                    }
                    if ($this->waiting !== []) {
                        $this->schedule();
                    }
                }
            });
        }
    }
}
