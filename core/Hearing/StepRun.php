<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use LogicException;
use SilverParrot\Hearing\Steps\Ran;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Steps\Step;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\ResponseCache;

/** Runs the steps of a response: all or nothing, up to the end or to the next pause. */
final readonly class StepRun
{
    private RankSayings $ranks;

    public function __construct(private ResponseCache $prepared)
    {
        $this->ranks = new RankSayings($prepared);
    }

    /**
     * @param  PendingChanges  $kept  what is kept even if a step fails; what the steps change lies over it
     */
    public function run(Stage $stage, CommandResponse $response, int $from, PendingChanges $kept): Outcome|Needs
    {
        $stretch = $this->stretch($stage, $response, $from);
        if ($stretch === null || ! $stage->needed->isEmpty()) {
            return Needs::of($stage->needed);
        }
        if ($stretch instanceof EvaluationFailure) {
            return $this->fail($stretch, $stage, $kept);
        }
        $kept->take($stage->changes);
        $stage->trace?->changed($kept->changes());
        $ranks = $this->ranks->changed($stage, $kept);
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

    /** Up to the end or to the next pause; null while something is needed. */
    public function stretch(Stage $stage, CommandResponse $response, int $from): Stretch|EvaluationFailure|null
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

    /** Nothing that the steps changed is kept; cooldowns start all the same, and the reply has drawn what it drew. */
    public function fail(EvaluationFailure $failed, Stage $stage, PendingChanges $kept): Outcome|Needs
    {
        $stage->trace?->failed($failed);
        $command = $stage->command;
        $sayings = [];
        if ($command->ifItFails !== '') {
            $reply = new Stage(
                $command,
                $stage->event,
                $stage->scene->withOutcome($failed->outcome + ['reason' => $failed->message()]),
                $stage->world,
                new PendingChanges($kept),
                $stage->needed,
                $stage->trace,
                $this->prepared,
                "{$command->id}/fails",
            );
            $ran = $reply->say($command->ifItFails);
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
}
