<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Event;
use SilverParrot\Hearing\Gates\FloodGate;
use SilverParrot\Hearing\Gates\Gate;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Gates\GateScope;
use SilverParrot\Hearing\Gates\KnownGates;
use SilverParrot\Hearing\Gates\Open;
use SilverParrot\Hearing\Gates\Pending;
use SilverParrot\Hearing\Gates\RefusalGate;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Flood;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\ResponseCache;
use SilverParrot\World;

/** Whoever sets a command off is let through its gates to one of its responses, or told what keeps them from it. */
final readonly class Admission
{
    /** @var list<Gate> looked at last, and before a refusal reply too: refusals are answers as well */
    private array $floods;

    /** @var list<Gate> what keeps anybody from making the parrot refuse again and again */
    private array $chatter;

    public function __construct(private ResponseCache $prepared, private KnownGates $gates, private StepRun $steps)
    {
        $this->floods = [
            new FloodGate(GateScope::Person),
            new FloodGate(GateScope::Channel),
        ];
        $this->chatter = [
            new RefusalGate(GateScope::Person, Flood::WINDOW_SECONDS),
            new RefusalGate(GateScope::Channel, RefusalGate::APART),
        ];
    }

    /** @param  list<Gate>  $more  behind the command’s own */
    public function attempt(
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
        $stage = Stage::behind($context, $changes, $needed, $trace, $this->prepared);
        if (! $needed->isEmpty()) {
            // While gates wait for their keys, the response already says which it will need: one round instead of two.
            // Its look-ups cost somebody something, and are not asked while a gate may still turn out to be closed.
            $requests = $needed->requests;
            $this->steps->stretch($stage, $response, 0);
            $needed->requests = $requests;

            return Needs::of($needed);
        }

        return $this->steps->run($stage, $response, 0, $kept);
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
        $stage = new Stage(
            $command,
            $context->event,
            $scene->withOutcome(['name' => $command->trigger] + $closed->outcome),
            $world,
            $changes,
            $needed,
            $trace,
            $this->prepared,
            "{$command->id}/{$closed->gate}",
        );
        $ran = $stage->say($reply);
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
}
