<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Event;
use SilverParrot\Hearing\Gates\Closed;
use SilverParrot\Hearing\Gates\CooldownGate;
use SilverParrot\Hearing\Gates\EnabledGate;
use SilverParrot\Hearing\Gates\FloodGate;
use SilverParrot\Hearing\Gates\Gate;
use SilverParrot\Hearing\Gates\LevelGate;
use SilverParrot\Hearing\Gates\Reach;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\Change;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Needed;
use SilverParrot\Response\Evaluation\Scene;
use SilverParrot\World;

/** The whole job: a line sets a command off, its gates are looked at, its step is run. */
final readonly class Talker implements Parrot
{
    private Say $say;

    /** @var list<Gate> in the order in which they are looked at */
    private array $gates;

    /** @var list<Gate> looked at last, and before a refusal reply too: refusals are answers as well */
    private array $floods;

    public function __construct(Prepared $prepared = new Prepared)
    {
        $this->say = new Say($prepared);
        $this->gates = [
            new EnabledGate,
            new LevelGate,
            new CooldownGate(Reach::Channel),
            new CooldownGate(Reach::Person),
        ];
        $this->floods = [
            new FloodGate(Reach::Person),
            new FloodGate(Reach::Channel),
        ];
    }

    public function hear(Event $event, World $world): Outcome|Needs
    {
        $trace = $world->traced ? new Trace : null;
        if (! $event instanceof ChatLine) {
            return new Outcome(trace: $trace);
        }
        $trace?->heard($event);
        if ($this->isTalker($event, $world)) {
            $trace?->fromTalker();

            return new Outcome(trace: $trace);
        }
        $triggered = Triggered::in($world->pack, $event->text);
        if ($triggered === null) {
            $trace?->nothingTriggered(Triggered::mistyped($world->pack, $event->text));

            return new Outcome(trace: $trace);
        }
        $trace?->triggered($triggered);

        return $this->attempt($triggered, $event, $world, $trace);
    }

    private function attempt(Triggered $triggered, ChatLine $line, World $world, ?Trace $trace): Outcome|Needs
    {
        $attempt = new Attempt($triggered->command, $line->by, $line->at, $world->pack->flood);
        $needed = new Needed;
        $scene = Scene::of($line->by, $triggered->words, $triggered->typed, $line->text);
        foreach ([...$this->gates, ...$this->floods] as $gate) {
            foreach ($gate->reads($attempt) as $key) {
                if (! $world->memory->knows($key)) {
                    $needed->key($key);
                }
            }
        }
        $gatesWait = ! $needed->isEmpty();
        $closed = $gatesWait ? null : self::closed([...$this->gates, ...$this->floods], $attempt, $world, $trace);
        if ($closed !== null) {
            return $this->refuse($closed, $attempt, $line, $scene, $world, $trace);
        }
        // While gates wait for their keys, the response already says which it will need: one round instead of two.
        $said = $this->say->run($attempt->command, $line, $scene, $world, $needed, $trace);
        if (! $needed->isEmpty() || $said === null) {
            if ($gatesWait) {
                $needed->forgetRequests();
            }

            return Needs::of($needed);
        }
        $passed = self::passed([...$this->gates, ...$this->floods], $attempt, $world);

        return $said instanceof Failed
            ? $this->fail($said, $passed, $attempt, $line, $scene, $world, $trace)
            : $this->outcome($said[0], [...$said[1]->changes, ...$passed], $attempt, $trace);
    }

    /** @param  list<Gate>  $gates */
    private static function closed(array $gates, Attempt $attempt, World $world, ?Trace $trace): ?Closed
    {
        foreach ($gates as $gate) {
            $closed = $gate->check($attempt, $world->memory);
            // An open flood gate is the rule for every line, and would only lengthen each why.
            if ($closed !== null || ! $gate instanceof FloodGate) {
                $trace?->gate($gate->name(), $closed);
            }
            if ($closed !== null) {
                return $closed;
            }
        }

        return null;
    }

    /**
     * @param  list<Gate>  $gates
     * @return list<Change>
     */
    private static function passed(array $gates, Attempt $attempt, World $world): array
    {
        $passed = [];
        foreach ($gates as $gate) {
            array_push($passed, ...$gate->passed($attempt, $world->memory));
        }

        return $passed;
    }

    private function refuse(Closed $closed, Attempt $attempt, ChatLine $line, Scene $scene, World $world, ?Trace $trace): Outcome|Needs
    {
        if ($closed->refusal === '' || self::closed($this->floods, $attempt, $world, null) !== null) {
            return new Outcome($attempt->command, closed: $closed, trace: $trace);
        }
        $needed = new Needed;
        $outcome = ['name' => $attempt->command->trigger] + $closed->outcome;
        $said = $this->say->text($closed->refusal, "{$attempt->command->trigger}/{$closed->gate}", $attempt->command, $line, $scene->withOutcome($outcome), $world, $needed, $trace);
        if ($said === null) {
            return Needs::of($needed);
        }
        if ($said instanceof Failed) {
            $trace?->failed($said);

            return new Outcome($attempt->command, closed: $closed, failed: $said, trace: $trace);
        }
        $trace?->changed($said[1]->changes);

        return new Outcome($attempt->command, $said[0], [...$said[1]->changes, ...self::passed($this->floods, $attempt, $world)], $closed, trace: $trace);
    }

    /**
     * Nothing that the response changed is kept; its cooldowns start all the same.
     *
     * @param  list<Change>  $passed
     */
    private function fail(Failed $failed, array $passed, Attempt $attempt, ChatLine $line, Scene $scene, World $world, ?Trace $trace): Outcome|Needs
    {
        $trace?->failed($failed);
        $sayings = [];
        if ($attempt->command->ifItFails !== '') {
            $needed = new Needed;
            $said = $this->say->text($attempt->command->ifItFails, "{$attempt->command->trigger}/fails", $attempt->command, $line, $scene->withOutcome(['reason' => $failed->getMessage()]), $world, $needed, $trace);
            if ($said === null) {
                return Needs::of($needed);
            }
            $sayings = $said instanceof Failed ? [] : $said[0];
        }

        return new Outcome($attempt->command, $sayings, $passed, failed: $failed, trace: $trace);
    }

    /**
     * @param  list<\SilverParrot\Chat\Saying>  $sayings
     * @param  list<Change>  $changes
     */
    private function outcome(array $sayings, array $changes, Attempt $attempt, ?Trace $trace): Outcome
    {
        $trace?->changed($changes);

        return new Outcome($attempt->command, $sayings, $changes, trace: $trace);
    }

    private function isTalker(ChatLine $line, World $world): bool
    {
        foreach ([$world->pack->parrot, ...$world->pack->talkers] as $login) {
            if ($line->by->is($login)) {
                return true;
            }
        }

        return false;
    }
}
