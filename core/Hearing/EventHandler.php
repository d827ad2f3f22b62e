<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Hearing\Gates\KnownGates;
use SilverParrot\Hearing\Gates\PhraseGate;
use SilverParrot\Hearing\Phrases\PhraseIndexes;
use SilverParrot\Hearing\Phrases\PhraseMatch;
use SilverParrot\Hearing\Steps\Stage;
use SilverParrot\Hearing\Timers\TimerAnswer;
use SilverParrot\Hearing\Timers\TimerDue;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Message;
use SilverParrot\World;

/** The whole job: an event sets a command off, its gates are looked at, the steps of one of its responses are run. */
final readonly class EventHandler implements Parrot
{
    private StepRun $steps;

    private Admission $admission;

    private RankSayings $ranks;

    private TimerAnswer $timers;

    public function __construct(
        private ResponseCache $prepared = new ResponseCache,
        private PhraseIndexes $phrases = new PhraseIndexes,
        KnownGates $gates = new KnownGates,
    ) {
        $this->steps = new StepRun($prepared);
        $this->admission = new Admission($prepared, $gates, $this->steps);
        $this->ranks = new RankSayings($prepared);
        $this->timers = new TimerAnswer($prepared, $this->steps);
    }

    public function hear(Event $event, World $world): Outcome|Needs
    {
        $trace = $world->traced ? new Trace : null;

        return match (true) {
            $event instanceof ChatLine => $this->line($event, $world, $trace),
            $event instanceof GoesOn => $this->goOn($event, $event, $world, $trace),
            $event instanceof EffectDone => $this->goOn($event->then, $event, $world, $trace),
            $event instanceof RankReached => $this->ranks->reached($event, $world, $trace),
            $event instanceof TimerDue => $this->timers->answer($event, $world, $trace),
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

            return $this->admission->attempt($match->command, $line, $scene, $world, $trace);
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

        $outcome = $this->admission->attempt(
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
        $stage = new Stage(
            $command,
            $event,
            $scene,
            $world,
            $changes,
            new PendingReads,
            $trace,
            $this->prepared,
            $command->id,
        );
        $reason = $outcome['reason'] ?? null;

        return $event instanceof EffectDone && ! $event->done->isDone && $reason instanceof Message
            ? $this->steps->fail(EvaluationFailure::refused($reason, $outcome), $stage, $kept)
            : $this->steps->run($stage, $response, $then->step, $kept);
    }
}
