<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** So many seconds must lie between two runs: for everybody together, or for each person. */
final readonly class CooldownGate implements Gate
{
    /** @param  int  $seconds  more than 0 */
    public function __construct(private GateScope $reach, private int $seconds)
    {
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
        $opens =
            is_int($last) && Age::millis($last, $context->at) !== null
                ? new Moment($last + $this->seconds * 1000)
                : null;

        return $opens !== null && $context->at->millis < $opens->millis
            ? $this->closed($context->at, $opens)
            : new Open([new Change($key, $last, $context->at->millis, $this->name(), $this->reach->scope($context))]);
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
