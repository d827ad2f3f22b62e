<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** So many seconds must lie between two runs: for everybody together, or for each person. */
final readonly class CooldownGate implements Gate
{
    private ByLevel $levels;

    /**
     * @param  int  $seconds  for whom no other number is given
     * @param  ByLevel|null  $levels  seconds for those with some levels
     * @param  Level|null  $passes  whoever has at least this level is not held back, and starts it all the same
     */
    public function __construct(
        private GateScope $reach,
        private int $seconds,
        ?ByLevel $levels = null,
        private ?Level $passes = null,
    ) {
        $this->levels = $levels ?? ByLevel::of([]);
    }

    public function name(): string
    {
        return "{$this->reach->value} cooldown";
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $owner = $this->reach->owner($context);
        if ($owner === null) {
            return new Open;
        }
        $key = Key::lastRun($context->command->id, $owner);
        $memory = $context->world->memory;
        if (! $memory->knows($key)) {
            return Pending::key($key);
        }
        $last = $memory->value($key);
        $seconds = $this->secondsFor($context->person);
        $opens =
            $seconds > 0 && is_int($last) && Age::millis($last, $context->at) !== null
                ? new Moment($last + $seconds * 1000)
                : null;

        return $opens !== null && $context->at->millis < $opens->millis
            ? $this->closed($context->at, $opens)
            : new Open([new Change($key, $last, $context->at->millis, $this->name(), $this->reach->scope($context))]);
    }

    private function secondsFor(?Person $person): int
    {
        $held = $person?->levels;

        return match (true) {
            $held === null => $this->seconds,
            $this->passes !== null && (new LevelRule(atLeast: $this->passes))->admits($held) => 0,
            default => $this->levels->for($held) ?? $this->seconds,
        };
    }

    private function closed(Moment $now, Moment $opens): GateRefusal
    {
        $seconds = (int) ceil(($opens->millis - $now->millis) / 1000);

        return new GateRefusal(
            $this->name(),
            'cooldown',
            ['seconds' => $seconds],
            ['left' => TimeSpan::between($now, $now->plusMillis($seconds * 1000))],
            Cooldown::refusal(),
            says: $this->reach === GateScope::Person ? 'cooldown-of-person' : 'cooldown',
        );
    }
}
