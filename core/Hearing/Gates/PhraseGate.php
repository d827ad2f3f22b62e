<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Phrase;
use SilverParrot\Value\Moment;

/** A phrase sets its command off at most once in its own cooldown; the command’s other ways are not held back. */
final readonly class PhraseGate implements Gate
{
    public function __construct(private Phrase $phrase)
    {
    }

    public function name(): string
    {
        return 'phrase cooldown';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        if ($this->phrase->cooldown === 0) {
            return new Open;
        }
        $key = Key::lastSaid($context->command->id, $this->phrase->text);
        $memory = $context->world->memory;
        if (! $memory->knows($key)) {
            return Pending::key($key);
        }
        $last = $memory->value($key);
        $age = is_int($last) ? Age::millis($last, $context->at) : null;
        if ($age === null || $age >= $this->phrase->cooldown * 1000) {
            return new Open([new Change($key, $last, $context->at->millis, $this->name(), 'channel')]);
        }
        $opens = new Moment($context->at->millis - $age + $this->phrase->cooldown * 1000);

        return new GateRefusal(
            $this->name(),
            'cooldown',
            ['seconds' => (int) ceil(($opens->millis - $context->at->millis) / 1000)],
            says: 'cooldown-of-phrase',
        );
    }
}
