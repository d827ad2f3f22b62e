<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use Closure;
use SilverParrot\Chat\Event;
use SilverParrot\Lookup\MemoizedReadings;
use SilverParrot\Lookup\NoWeb;
use SilverParrot\Lookup\Web;
use SilverParrot\Memory\AtHand;
use SilverParrot\Memory\EventKey;
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
    /** Rounds of fetching; what the outside has not said by then stays a gap for good. */
    public const ROUNDS = 3;

    public function __construct(private Parrot $parrot, private Store $store)
    {
    }

    /**
     * @param  World  $world its memory is not looked at: the store's is
     * @param  Closure(View): View|null  $over  lays over the store's what it was not told yet
     */
    public function hear(Event $event, World $world, Web $web = new NoWeb, ?Closure $over = null): HandledEvent
    {
        $over ??= static fn (View $view): View => $view;
        $reads = Reads::of();
        $readings = new MemoizedReadings($world->readings);
        $world = $world->reading($readings);
        for ($round = 1; ; $round++) {
            $atHand = $this->store instanceof AtHand ? $this->store->atHand() : null;
            $view = $atHand ?? $over($this->store->snapshot($reads));
            $heard = $this->parrot->hear($event, $world->remembering($view));
            // Where nobody else writes, what was heard is what is kept.
            if ($atHand !== null && $heard instanceof Outcome && $heard->isWorthATurn()) {
                $kept = $heard;
                $heard = $this->store->turn(
                    EventKey::event($event->key()),
                    Reads::of(),
                    static fn (): Outcome => $kept,
                );
            }
            // What is said is queued in the turn too, so that a line that is delivered twice is answered once.
            if ($atHand === null && $heard instanceof Outcome && $heard->isWorthATurn()) {
                $heard = $this->store->turn(EventKey::event($event->key()), $reads, function (View $locked) use (
                    $event,
                    $world,
                    $over,
                    &$view,
                ): Outcome|Needs {
                    $view = $over($locked);

                    return $this->parrot->hear($event, $world->remembering($view));
                });
            }
            if (! $heard instanceof Needs) {
                return new HandledEvent(
                    $heard,
                    $atHand->read ?? array_map($view->value(...), $reads->keys),
                    $readings->plain(),
                    $readings->asked(),
                );
            }
            $reads = $this->fetch($heard, $reads, $readings, $web, $round);
        }
    }

    private function fetch(Needs $needs, Reads $reads, MemoizedReadings $readings, Web $web, int $round): Reads
    {
        // Memory is at hand, and one thing found there may lead to another; twice as many rounds are beyond any
        // response.
        if ($round > 2 * self::ROUNDS || ($needs->reads->isEmpty() && $needs->requests === [])) {
            throw new \LogicException('An event asked for more than can be fetched.');
        }
        if ($needs->requests !== []) {
            $round <= self::ROUNDS ? $readings->add($web->readings($needs->requests)) : $readings->complete();
        }

        return $reads->and($needs->reads);
    }
}
