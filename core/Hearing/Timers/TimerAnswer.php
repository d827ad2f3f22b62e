<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Timers;

use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Needs;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\ResponseDraw;
use SilverParrot\Hearing\StepRun;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Value\Gap;
use SilverParrot\World;

/** What a timer says that is due. It is decided once more under the lock: what two talkers saw is said once. */
final readonly class TimerAnswer
{
    public function __construct(private ResponseCache $prepared, private StepRun $steps)
    {
    }

    public function answer(TimerDue $event, World $world, ?Trace $trace): Outcome|Needs
    {
        $clock = new TimerClock($event->timer);
        $unknown = array_filter(
            $clock->reads($world->pack),
            static fn (Key $key): bool => ! $world->memory->knows($key),
        );
        $needed = new PendingReads;
        array_map($needed->key(...), array_values($unknown));
        $live = Request::channel('live');
        $isLive = $world->readings->read($live);
        if ($isLive instanceof Gap && $isLive->isPending()) {
            $needed->request($live);
        }
        if (! $needed->isEmpty()) {
            return Needs::of($needed);
        }
        $stand = $clock->look($world->memory, $world->pack, $event->at(), is_bool($isLive) ? $isLive : null);
        if (! $event->isNow && ! $stand->isDue) {
            return new Outcome(trace: $trace);
        }
        $trace?->timer($event->timer->name);
        $command = $event->timer->command();
        $scene = Invocation::of(null, '', $event->timer->name);
        $kept = new PendingChanges($world->memory);
        $kept->change($clock->spoke($world->memory, $event->at()));
        $unasked = Key::lastUnasked();
        $kept->change(
            new Change($unasked, $world->memory->value($unasked), $event->at()->millis, 'timer', 'channel'),
        );
        $context = new GateContext($command, $event, $world, $scene);
        $response = (new ResponseDraw($context, $needed, $kept))->response($trace);
        $stage = Stage::behind($context, new PendingChanges($kept), $needed, $trace, $this->prepared);
        if (! $needed->isEmpty()) {
            return Needs::of($needed);
        }

        return $response instanceof GateRefusal
            ? new Outcome(null, [], $kept->changes(), $response, trace: $trace)
            : $this->steps->run($stage, $response, 0, $kept);
    }
}
