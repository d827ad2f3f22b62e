<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Hearing\Attempt;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\View;
use SilverParrot\Value\Moment;

/** So many seconds must lie between two runs: for everybody together, or for each person. */
final readonly class CooldownGate implements Gate
{
    public function __construct(private Reach $reach)
    {
    }

    public function name(): string
    {
        return "{$this->reach->value} cooldown";
    }

    public function reads(Attempt $attempt): array
    {
        return $this->seconds($attempt) > 0 ? [$this->key($attempt)] : [];
    }

    public function check(Attempt $attempt, View $memory): ?Closed
    {
        $seconds = $this->seconds($attempt);
        $last = $seconds > 0 ? $memory->value($this->key($attempt)) : null;
        $opens = is_int($last) && Age::millis($last, $attempt->at) !== null ? new Moment($last + $seconds * 1000) : null;

        return $opens !== null && $attempt->at->millis < $opens->millis
            ? Closed::cooldown($this->name(), $attempt->at, $opens, $attempt->command->cooldownRefusal) : null;
    }

    public function passed(Attempt $attempt, View $memory): array
    {
        if ($this->seconds($attempt) === 0) {
            return [];
        }
        $key = $this->key($attempt);

        return [new Change($key, $memory->value($key), $attempt->at->millis, $this->name(), $this->reach->scope($attempt))];
    }

    private function seconds(Attempt $attempt): int
    {
        return $this->reach === Reach::Person ? $attempt->command->personCooldown : $attempt->command->channelCooldown;
    }

    private function key(Attempt $attempt): Key
    {
        return Key::lastRun($attempt->command->trigger, $this->reach->owner($attempt));
    }
}
