<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use LogicException;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Gates\FloodGate;
use SilverParrot\Hearing\Gates\Gate;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Gates\GateScope;
use SilverParrot\Hearing\Gates\KnownGates;
use SilverParrot\Hearing\Gates\Open;
use SilverParrot\Hearing\Gates\Pending;
use SilverParrot\Hearing\Gates\PhraseGate;
use SilverParrot\Hearing\Gates\RefusalGate;
use SilverParrot\Hearing\Phrases\PhraseIndexes;
use SilverParrot\Hearing\Phrases\PhraseMatch;
use SilverParrot\Hearing\Steps\Ran;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Steps\Step;
use SilverParrot\Hearing\Timers\TimerClock;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Triggers;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Message;
use SilverParrot\Value\Gap;
use SilverParrot\World;

/** The whole job: an event sets a command off, its gates are looked at, the steps of one of its responses are run. */
final readonly class EventHandler implements Parrot
{
    /** @var list<Gate> looked at last, and before a refusal reply too: refusals are answers as well */
    private array $floods;

    /** @var list<Gate> what keeps anybody from making the parrot refuse again and again */
    private array $chatter;

    public function __construct(
        private ResponseCache $prepared = new ResponseCache,
        private PhraseIndexes $phrases = new PhraseIndexes,
        private KnownGates $gates = new KnownGates,
    ) {
        $this->floods = [
            new FloodGate(GateScope::Person),
            new FloodGate(GateScope::Channel),
        ];
        $this->chatter = [
            new RefusalGate(GateScope::Person, Flood::WINDOW_SECONDS),
            new RefusalGate(GateScope::Channel, RefusalGate::APART),
        ];
    }

    public function hear(Event $event, World $world): Outcome|Needs
    {
        $trace = $world->traced ? new Trace : null;

        return match (true) {
            $event instanceof ChatLine => $this->line($event, $world, $trace),
            $event instanceof GoesOn => $this->goOn($event, $event, $world, $trace),
            $event instanceof EffectDone => $this->goOn($event->then, $event, $world, $trace),
            $event instanceof RankReached => $this->rankReached($event, $world, $trace),
            $event instanceof TimerDue => $this->timer($event, $world, $trace),
            $event instanceof StreamBegan => (new UnpromptedQuestions($this->prepared))->note($world),
            default => new Outcome(trace: $trace),
        };
    }

    /** Whether nothing comes of a line, whatever is remembered: as of nearly all. */
    public function ignores(ChatLine $line, Pack $pack): bool
    {
        return $this->match($line, $pack) === null || $pack->isTalker($line->by);
    }

    /** Phrases listen to what is said in the chat; to the parrot itself one speaks in commands. */
    private function match(ChatLine $line, Pack $pack): TriggerMatch|PhraseMatch|null
    {
        return $line->isWhisper
            ? TriggerMatch::in($pack, $line->text)
            : LineMatch::in($pack, $line->text, $this->phrases);
    }

    private function line(ChatLine $line, World $world, ?Trace $trace): Outcome|Needs
    {
        $trace?->heard($line);
        if ($world->pack->isTalker($line->by)) {
            $trace?->fromTalker();

            return new Outcome(trace: $trace);
        }
        $match = $this->match($line, $world->pack);
        if ($match === null) {
            $trace?->nothingTriggered($world->pack, $line->text);

            return new Outcome(trace: $trace);
        }
        if ($match instanceof TriggerMatch) {
            $trace?->triggered($match);
            $scene = Invocation::of($line->by, $match->words, $match->typed, $line->text);

            return $this->attempt($match->command, $line, $scene, $world, $trace);
        }
        $outcome = $this->phrase($match, $line, $world, $trace);
        foreach ($this->phrases->of($world->pack)->besides($match, $line->text) as $other) {
            if ($outcome instanceof Needs) {
                return $outcome;
            }
            $kept = new PendingChanges($world->memory);
            array_map($kept->change(...), $outcome->changes);
            $more = $this->phrase($other, $line, $world->remembering($kept), $world->traced ? new Trace : null);
            // Whoever is not let in by it hears nothing of it: the line has its answer.
            $outcome = match (true) {
                $more instanceof Needs => $more,
                $more->closed === null => $outcome->and($more),
                default => $outcome,
            };
        }

        return $outcome;
    }

    private function phrase(PhraseMatch $match, ChatLine $line, World $world, ?Trace $trace): Outcome|Needs
    {
        $trace?->said($match);

        $outcome = $this->attempt(
            $match->command,
            $line,
            Invocation::of($line->by, '', $match->command->trigger, $line->text),
            $world,
            $trace,
            [new PhraseGate($match->phrase)],
        );

        return $outcome instanceof Outcome ? $outcome->setOffBy($match->phrase->text) : $outcome;
    }

    /**
     * Its gates were passed before the pause, or before what is done by now, and its changes until then are kept; a
     * command that is gone by now says no more.
     */
    private function goOn(GoesOn $then, GoesOn|EffectDone $event, World $world, ?Trace $trace): Outcome|Needs
    {
        $command = $world->pack->byId($then->command);
        $response = $command?->response($then->response);
        if ($command === null || $response === null) {
            return new Outcome(trace: $trace);
        }
        $event instanceof GoesOn ? $trace?->wentOn($command->trigger) : null;
        $kept = new PendingChanges($world->memory);
        $outcome = $event instanceof EffectDone ? $event->done->outcome : $then->scene->outcome;
        $scene = $then->scene->withOutcome($outcome);
        $changes = new PendingChanges($kept);
        $stage = $this->stage($command, $event, $scene, $world, $changes, new PendingReads, $trace);
        $reason = $outcome['reason'] ?? null;

        return $event instanceof EffectDone && ! $event->done->isDone && $reason instanceof Message
            ? $this->fail(EvaluationFailure::refused($reason, $outcome), $stage, $kept)
            : $this->run($stage, $response, $then->step, $kept);
    }

    /** @param  list<Gate>  $more  behind the command’s own */
    private function attempt(
        Command $command,
        Event $event,
        Invocation $scene,
        World $world,
        ?Trace $trace,
        array $more = [],
    ): Outcome|Needs {
        $needed = new PendingReads;
        $context = new GateContext($command, $event, $world, $scene);
        $gates = [...$this->gates->of($command->gates), ...$more, ...$this->floods];
        $open = self::stand($gates, $context, $needed, $trace);
        if ($open instanceof GateRefusal) {
            return $this->refuse($open, $context, $scene, $trace);
        }
        $kept = new PendingChanges($world->memory);
        $changes = new PendingChanges($kept);
        foreach ($open as $one) {
            array_map($kept->change(...), $one->kept);
            array_map($changes->change(...), $one->keptOnSuccess);
        }
        $response = (new ResponseDraw($context, $needed, $kept))->response($trace);
        if ($response instanceof GateRefusal) {
            return $this->refuse($response, $context, $scene, $trace);
        }
        $stage = $this->stage($command, $event, $scene, $world, $changes, $needed, $trace);
        if (! $needed->isEmpty()) {
            // While gates wait for their keys, the response already says which it will need: one round instead of two.
            // Its look-ups cost somebody something, and are not asked while a gate may still turn out to be closed.
            $requests = $needed->requests;
            $this->steps($stage, $response, 0);
            $needed->requests = $requests;

            return Needs::of($needed);
        }

        return $this->run($stage, $response, 0, $kept);
    }

    /**
     * @param  list<Gate>  $gates
     * @return list<Open>|GateRefusal the first that is closed; while one waits, those behind it are not decided
     */
    private static function stand(
        array $gates,
        GateContext $context,
        PendingReads $needed,
        ?Trace $trace,
    ): array|GateRefusal {
        $open = [];
        foreach ($gates as $gate) {
            $stands = $gate->stand($context);
            if ($stands instanceof Pending) {
                $stands->noteIn($needed);
            } elseif ($needed->isEmpty()) {
                if ($stands instanceof GateRefusal || ! $stands->isUsual) {
                    $trace?->gate($gate->name(), $stands instanceof GateRefusal ? $stands : null);
                }
                if ($stands instanceof GateRefusal) {
                    return $stands->isTry ? $stands->keeping($open) : $stands;
                }
                $open[] = $stands;
            }
        }

        return $open;
    }

    /**
     * All or nothing, up to the end or to the next pause.
     *
     * @param  PendingChanges  $kept  what is kept even if a step fails; what the steps change lies over it
     */
    private function run(Stage $stage, CommandResponse $response, int $from, PendingChanges $kept): Outcome|Needs
    {
        $stretch = $this->steps($stage, $response, $from);
        if ($stretch === null || ! $stage->needed->isEmpty()) {
            return Needs::of($stage->needed);
        }
        if ($stretch instanceof EvaluationFailure) {
            return $this->fail($stretch, $stage, $kept);
        }
        $kept->take($stage->changes);
        $stage->trace?->changed($kept->changes());
        $ranks = $this->sayRanks($stage, $kept);
        if ($ranks === null) {
            return Needs::of($stage->needed);
        }

        return new Outcome(
            $stage->command,
            [...$stretch->sayings, ...$ranks],
            $kept->changes(),
            trace: $stage->trace,
            effects: $stretch->effects,
            later: $stretch->later,
            by: $stage->event->person(),
        );
    }

    private function steps(Stage $stage, CommandResponse $response, int $from): Stretch|EvaluationFailure|null
    {
        $sayings = [];
        $place = "{$stage->command->id}/{$response->id}";
        for ($at = $from; $at < count($response->steps); $at++) {
            $step = $response->steps[$at];
            $ran = ! $step instanceof Step
                ? throw new LogicException('A step that cannot be run: '.$step::class)
                : $step->run($stage->at($at === 0 ? $place : "$place/$at"));
            if (! $ran instanceof Ran) {
                return $ran;
            }
            $stage = $stage->after($ran);
            array_push($sayings, ...$ran->sayings);
            if ($ran->effect !== null || ($ran->pause !== null && isset($response->steps[$at + 1]))) {
                $then = new GoesOn(
                    match (true) {
                        $stage->event instanceof GoesOn => $stage->event->from,
                        $stage->event instanceof EffectDone => $stage->event->then->from,
                        default => $stage->event,
                    },
                    $stage->command->id,
                    $response->id,
                    $at + 1,
                    $stage->scene,
                    $stage->event->at()->plusMillis($ran->pause ?? 0),
                );

                return $ran->effect === null
                    ? new Stretch($sayings, [], [$then])
                    : new Stretch($sayings, [new Awaited($ran->effect, $then)]);
            }
        }

        return new Stretch($sayings, []);
    }

    /** @return list<Saying>|null what is said of those whose rank is another by now; null while something is needed */
    private function sayRanks(Stage $stage, PendingChanges $kept): ?array
    {
        $changes = RankChanges::in($kept->changes(), $stage->world->pack);
        $unknown = array_filter(
            $changes->reads(),
            static fn (Key $key): bool => ! $stage->world->memory->knows($key),
        );
        if ($unknown !== []) {
            array_map($stage->needed->key(...), $unknown);

            return null;
        }
        $said = [];
        foreach ($changes->told($stage->world->memory) as $change) {
            $sayings = $this->sayRank($change, $stage->event, $stage->world, $stage->needed, $kept, $stage->trace);
            if ($sayings === null) {
                return null;
            }
            array_push($said, ...$sayings);
        }

        return $said;
    }

    /** It is decided once more under the lock: what two talkers saw is said once. */
    private function timer(TimerDue $event, World $world, ?Trace $trace): Outcome|Needs
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
        $stage = $this->stage($command, $event, $scene, $world, new PendingChanges($kept), $needed, $trace);
        if (! $needed->isEmpty()) {
            return Needs::of($needed);
        }

        return $response instanceof GateRefusal
            ? new Outcome(null, [], $kept->changes(), $response, trace: $trace)
            : $this->run($stage, $response, 0, $kept);
    }

    private function rankReached(RankReached $event, World $world, ?Trace $trace): Outcome|Needs
    {
        $needed = new PendingReads;
        $kept = new PendingChanges($world->memory);
        $sayings = $this->sayRank($event->change, $event, $world, $needed, $kept, $trace);

        return $sayings === null
            ? Needs::of($needed)
            : new Outcome(null, $sayings, $kept->changes(), trace: $trace, by: $event->person());
    }

    /**
     * What is said of a rank is said by nobody's command, and never keeps one from its answer. It changes nothing of
     * its own accord; how far it drew lists is kept.
     *
     * @return list<Saying>|null null while something is not fetched yet
     */
    private function sayRank(
        RankChange $change,
        Event $event,
        World $world,
        PendingReads $needed,
        PendingChanges $kept,
        ?Trace $trace,
    ): ?array {
        if ($this->prepared->response($change->text())->changedPlaces() !== []) {
            return [];
        }
        $scene = Invocation::of($change->person)->withOutcome([
            'name' => $change->ladder->field,
            'before' => $change->before,
            'after' => $change->after,
        ]);
        $command = new Command(new Triggers("ranks {$change->ladder->id}"));
        $stage = $this->stage($command, $event, $scene, $world, new PendingChanges($kept), $needed, $trace);
        $ran = $stage->at("{$command->id}/{$change->person->id}")->say($change->text());
        if ($ran === null || ! $needed->isEmpty()) {
            return null;
        }
        if ($ran instanceof EvaluationFailure) {
            $trace?->failed($ran);

            return [];
        }
        $kept->take($stage->changes);

        return $ran->sayings;
    }

    private function refuse(GateRefusal $closed, GateContext $context, Invocation $scene, ?Trace $trace): Outcome|Needs
    {
        [$command, $world] = [$context->command, $context->world];
        $kept = new PendingChanges($world->memory);
        array_map($kept->change(...), $closed->kept);
        $key = $closed->refusal->key ?? '';
        $reply = $command->refusals[$key] ?? $world->pack->refusals[$key] ?? '';
        $needed = new PendingReads;
        $floods = $reply === '' ? [] : self::stand([...$this->chatter, ...$this->floods], $context, $needed, null);
        if ($reply === '' || $floods instanceof GateRefusal) {
            if ($floods instanceof GateRefusal) {
                $trace?->replyHeldBack();
            }

            return new Outcome(
                $command,
                changes: $kept->changes(),
                closed: $closed,
                trace: $trace,
                by: $context->person,
            );
        }
        $changes = new PendingChanges($kept);
        $stage = $this->stage(
            $command,
            $context->event,
            $scene->withOutcome(['name' => $command->trigger] + $closed->outcome),
            $world,
            $changes,
            $needed,
            $trace,
        );
        $ran = $stage->at("{$command->id}/{$closed->gate}")->say($reply);
        if ($ran === null || ! $needed->isEmpty()) {
            return Needs::of($needed);
        }
        if ($ran instanceof EvaluationFailure) {
            $trace?->failed($ran);

            return new Outcome(
                $command,
                changes: $kept->changes(),
                closed: $closed,
                failed: $ran,
                trace: $trace,
                by: $context->person,
            );
        }
        $trace?->changed($changes->changes());
        $kept->take($changes);
        foreach ($floods as $open) {
            array_map($kept->change(...), $open->kept);
        }

        return new Outcome($command, $ran->sayings, $kept->changes(), $closed, trace: $trace, by: $context->person);
    }

    /** Nothing that the steps changed is kept; cooldowns start all the same, and the reply has drawn what it drew. */
    private function fail(EvaluationFailure $failed, Stage $stage, PendingChanges $kept): Outcome|Needs
    {
        $stage->trace?->failed($failed);
        $command = $stage->command;
        $sayings = [];
        if ($command->ifItFails !== '') {
            $reply = $this->stage(
                $command,
                $stage->event,
                $stage->scene->withOutcome($failed->outcome + ['reason' => $failed->message()]),
                $stage->world,
                new PendingChanges($kept),
                $stage->needed,
                $stage->trace,
            );
            $ran = $reply->at("{$command->id}/fails")->say($command->ifItFails);
            if ($ran === null) {
                return Needs::of($stage->needed);
            }
            if (! $ran instanceof EvaluationFailure) {
                $sayings = $ran->sayings;
                foreach ($reply->changes->changes() as $change) {
                    $change->key->kind->isOfDraws() && $kept->change($change);
                }
            }
        }

        return new Outcome(
            $command,
            $sayings,
            $kept->changes(),
            failed: $failed,
            trace: $stage->trace,
            by: $stage->event->person(),
        );
    }

    private function stage(
        Command $command,
        Event $event,
        Invocation $scene,
        World $world,
        PendingChanges $changes,
        PendingReads $needed,
        ?Trace $trace,
    ): Stage {
        return new Stage($command, $event, $scene, $world, $changes, $needed, $trace, $this->prepared, $command->id);
    }
}
