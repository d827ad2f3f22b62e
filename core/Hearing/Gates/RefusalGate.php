<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;

/**
 * Refusal replies, whichever command they are of, are so many seconds apart: for everybody together, or for each
 * person. Who tries again sooner hears nothing.
 */
final readonly class RefusalGate implements Gate
{
    /** Seconds between two of them for everybody together: a crowd at a closed gate is told once. */
    public const APART = 5;

    /** @param  int  $seconds  more than 0 */
    public function __construct(private GateScope $reach, private int $seconds)
    {
    }

    public function name(): string
    {
        return "{$this->reach->value} refusals";
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $owner = $this->reach->owner($context);
        if ($owner === null) {
            return new Open;
        }
        $key = Key::lastRefusal($owner);
        $memory = $context->world->memory;
        if (! $memory->knows($key)) {
            return Pending::key($key);
        }
        $last = $memory->value($key);
        $age = is_int($last) ? Age::millis($last, $context->at) : null;

        return $age !== null && $age < $this->seconds * 1000
            ? new GateRefusal($this->name(), 'refusals')
            : new Open([new Change($key, $last, $context->at->millis, $this->name(), $this->reach->scope($context))]);
    }
}
