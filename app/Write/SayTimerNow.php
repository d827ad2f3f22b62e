<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MariaDbStore;
use Illuminate\Database\Connection;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;
use SilverParrot\World;

/**
 * A timer of the edition on the air speaks now, whatever its clock says, which begins anew with it. What it says is
 * queued, and the talker says it.
 */
final readonly class SayTimerNow
{
    public function __construct(
        private Connection $connection,
        private Editions $editions,
        private EventHandler $handler,
        private Wording $wording,
    ) {
    }

    /** @return string what came of it, in a sentence */
    public function __invoke(Channel $channel, string $id): string
    {
        $pack = $this->editions->onAir($channel);
        $timer = array_values(array_filter($pack->timers ?? [], static fn ($one): bool => $one->id === $id))[0] ?? null;
        if ($pack === null || $timer === null) {
            return 'It is not on the air yet: publish it first.';
        }
        if ($channel->paused) {
            return 'The parrot is paused. Resume it on Publish first.';
        }
        $now = Moment::of(now());
        $event = new TimerDue($timer, 0, $now, isNow: true);
        $heard = (new Driver($this->handler, new MariaDbStore($this->connection, $channel->id)))->hear(
            $event,
            new World(
                $pack,
                new CompleteView,
                (new InitialState([], $channel->details))->readings(),
                $now,
                new KeyedChance($channel->seed, $event->key()),
                $channel->profile(),
                wording: $this->wording,
            ),
        )->outcome;

        return match (true) {
            $heard instanceof AlreadyHandled => "{$timer->name} was said within this minute.",
            $heard instanceof Outcome && $heard->sayings !== [] => "{$timer->name} is on its way to the chat.",
            default => "{$timer->name} had nothing to say.",
        };
    }
}
