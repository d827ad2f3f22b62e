<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use LogicException;
use SilverParrot\Chance\Weighted;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Hearing\Gates\FloodGate;
use SilverParrot\Hearing\Gates\Gate;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Gates\GateScope;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\Open;
use SilverParrot\Hearing\Gates\Pending;
use SilverParrot\Hearing\Steps\Ran;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Steps\Step;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\ResponseCache;
use SilverParrot\World;

/** The whole job: an event sets a command off, its gates are looked at, the steps of one of its responses are run. */
final readonly class EventHandler implements Parrot
{
    /** @var list<Gate> looked at last, and before a refusal reply too: refusals are answers as well */
    private array $floods;

    public function __construct(private ResponseCache $prepared = new ResponseCache)
    {
        $this->floods = [
            new FloodGate(GateScope::Person),
            new FloodGate(GateScope::Channel),
        ];
    }

    public function hear(Event $event, World $world): Outcome|Needs
    {
        $trace = $world->traced ? new Trace : null;

        return match (true) {
            $event instanceof ChatLine => $this->line($event, $world, $trace),
            $event instanceof GoesOn => $this->goOn($event, $world, $trace),
            default => new Outcome(trace: $trace),
        };
    }

    private function line(ChatLine $line, World $world, ?Trace $trace): Outcome|Needs
    {
        $trace?->heard($line);
        if ($world->pack->isTalker($line->by)) {
            $trace?->fromTalker();

            return new Outcome(trace: $trace);
        }
        $triggered = TriggerMatch::in($world->pack, $line->text);
        if ($triggered === null) {
            $trace?->nothingTriggered($world->pack, $line->text);

            return new Outcome(trace: $trace);
        }
        $trace?->triggered($triggered);

        return $this->attempt(
            $triggered->command,
            $line,
            Invocation::of($line->by, $triggered->words, $triggered->typed, $line->text),
            $world,
            $trace,
        );
    }

    /**
     * Its gates were passed before the pause, and its changes until then are kept; a command that is gone by now says
     * no more.
     */
    private function goOn(GoesOn $event, World $world, ?Trace $trace): Outcome|Needs
    {
        $command = $world->pack->byId($event->command);
        $response = $command?->response($event->response);
        if ($command === null || $response === null) {
            return new Outcome(trace: $trace);
        }
        $trace?->wentOn($command->trigger);
        $kept = new PendingChanges($world->memory);

        return $this->run(
            $this->stage(
                $command,
                $event,
                $event->scene,
                $world,
                new PendingChanges($kept),
                new PendingReads,
                $trace,
            ),
            $response,
            $event->step,
            $kept,
        );
    }

    private function attempt(
        Command $command,
        Event $event,
        Invocation $scene,
        World $world,
        ?Trace $trace,
    ): Outcome|Needs {
        $needed = new PendingReads;
        $context = new GateContext($command, $event, $world);
        $open = self::stand([...GateSettings::gates($command->gates), ...$this->floods], $context, $needed, $trace);
        if ($open instanceof GateRefusal) {
            return $this->refuse($open, $context, $scene, $trace);
        }
        $kept = new PendingChanges($world->memory);
        $changes = new PendingChanges($kept);
        foreach ($open as $one) {
            array_map($kept->change(...), $one->kept);
            array_map($changes->change(...), $one->keptOnSuccess);
        }
        $response = $this->drawn($command, $world, $trace);
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
                // An open flood gate is the rule for every line, and would only lengthen each why.
                if ($stands instanceof GateRefusal || ! $gate instanceof FloodGate) {
                    $trace?->gate($gate->name(), $stands instanceof GateRefusal ? $stands : null);
                }
                if ($stands instanceof GateRefusal) {
                    return $stands;
                }
                $open[] = $stands;
            }
        }

        return $open;
    }

    private function drawn(Command $command, World $world, ?Trace $trace): CommandResponse
    {
        $weights = array_map(static fn (CommandResponse $response): int => $response->weight, $command->responses);
        if (count($weights) < 2) {
            return $command->responses[0] ?? new CommandResponse([]);
        }
        $place = Weighted::place($weights, $world->chance->at("{$command->id}#response"));
        $trace?->drew($place, count($weights));

        return $command->responses[$place];
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

        return new Outcome(
            $stage->command,
            $stretch->sayings,
            $kept->changes(),
            trace: $stage->trace,
            effects: $stretch->effects,
            later: $stretch->later,
            by: $stage->event->person(),
        );
    }

    private function steps(Stage $stage, CommandResponse $response, int $from): Stretch|EvaluationFailure|null
    {
        $sayings = $effects = [];
        $place = "{$stage->command->id}/{$response->id}";
        for ($at = $from; $at < count($response->steps); $at++) {
            $step = $response->steps[$at];
            $ran = ! $step instanceof Step
                ? throw new LogicException('A step that cannot be run: '.$step::class)
                : $step->run($stage->at($at === 0 ? $place : "$place/$at"));
            if (! $ran instanceof Ran) {
                return $ran;
            }
            array_push($sayings, ...$ran->sayings);
            array_push($effects, ...$ran->effects);
            if ($ran->pause !== null && isset($response->steps[$at + 1])) {
                $origin = $stage->event instanceof GoesOn ? $stage->event->from : $stage->event;

                return new Stretch($sayings, $effects, [
                    new GoesOn(
                        $origin,
                        $stage->command->id,
                        $response->id,
                        $at + 1,
                        $stage->scene,
                        $stage->event->at()->plusMillis($ran->pause),
                    ),
                ]);
            }
        }

        return new Stretch($sayings, $effects);
    }

    private function refuse(GateRefusal $closed, GateContext $context, Invocation $scene, ?Trace $trace): Outcome|Needs
    {
        [$command, $world] = [$context->command, $context->world];
        $kept = new PendingChanges($world->memory);
        array_map($kept->change(...), $closed->kept);
        $reply = $closed->refusal === null ? '' : $command->refusals[$closed->refusal->key] ?? '';
        $needed = new PendingReads;
        $floods = $reply === '' ? [] : self::stand($this->floods, $context, $needed, null);
        if ($reply === '' || $floods instanceof GateRefusal) {
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

    /** Nothing that the steps changed is kept; cooldowns start all the same. */
    private function fail(EvaluationFailure $failed, Stage $stage, PendingChanges $kept): Outcome|Needs
    {
        $stage->trace?->failed($failed);
        $command = $stage->command;
        $sayings = [];
        if ($command->ifItFails !== '') {
            $reply = $this->stage(
                $command,
                $stage->event,
                $stage->scene->withOutcome(['reason' => $failed->message()]),
                $stage->world,
                new PendingChanges($kept),
                $stage->needed,
                $stage->trace,
            );
            $ran = $reply->at("{$command->id}/fails")->say($command->ifItFails);
            if ($ran === null) {
                return Needs::of($stage->needed);
            }
            $sayings = $ran instanceof EvaluationFailure ? [] : $ran->sayings;
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
