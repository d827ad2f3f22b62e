<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Event;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\View;
use SilverParrot\World;

/**
 * Carries one event from the ear to memory: hear on a snapshot, fetch what is needed, then hear again inside the turn
 * that keeps the changes. Rehearsal and the air use the same steps.
 */
final readonly class Driver
{
    /** Rounds of fetching; what is still missing then stays a gap for good. */
    public const ROUNDS = 3;

    public function __construct(private Parrot $parrot, private Store $store)
    {
    }

    /** @param  World  $world its memory is not looked at: the store's is */
    public function hear(Event $event, World $world): Carried
    {
        $reads = Reads::of();
        for ($round = 0; ; $round++) {
            $heard = $this->parrot->hear($event, $world->remembering($this->store->snapshot($reads)));
            if ($heard instanceof Needs) {
                $reads = $this->more($reads, $heard, $round);

                continue;
            }
            if ($heard->changes === []) {
                return new Carried($heard, $reads);
            }
            $kept = $this->store->turn($event->key(), $reads, fn (View $view): Outcome|Needs => $this->parrot->hear($event, $world->remembering($view)));
            if (! $kept instanceof Needs) {
                return new Carried($kept, $reads);
            }
            $reads = $this->more($reads, $kept, $round);
        }
    }

    private function more(Reads $reads, Needs $needs, int $round): Reads
    {
        if ($round >= self::ROUNDS || $needs->reads->isEmpty()) {
            throw new \LogicException('An event asked for more than can be fetched.');
        }

        return $reads->and($needs->reads);
    }
}
