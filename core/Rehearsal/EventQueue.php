<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Chat\Event;
use SilverParrot\Value\Moment;
use SplMinHeap;

/** What is still to happen in a rehearsal: the earliest first, and of one moment what was added first. */
final class EventQueue
{
    /** @var SplMinHeap<array{int, int, Event}> */
    private SplMinHeap $heap;

    private int $added = 0;

    public function __construct()
    {
        $this->heap = new SplMinHeap;
    }

    public function add(Event $event): void
    {
        // The number is never equal, so that two events are never compared.
        $this->heap->insert([$event->at()->millis, $this->added++, $event]);
    }

    public function isEmpty(): bool
    {
        return $this->heap->isEmpty();
    }

    public function at(): ?Moment
    {
        return $this->heap->isEmpty() ? null : $this->heap->top()[2]->at();
    }

    /** The next, if it happens before a moment: what is to happen at one moment and was added first comes first. */
    public function before(Moment $until): ?Event
    {
        return $this->heap->isEmpty() || $this->heap->top()[0] >= $until->millis ? null : $this->heap->extract()[2];
    }
}
