<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Hearing\Attempt;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Flood;

/** Only so many answers within a while, to one person or to everybody, whichever commands they are to. */
final readonly class FloodGate implements Gate
{
    public function __construct(private Reach $reach)
    {
    }

    public function name(): string
    {
        return "{$this->reach->value} flood";
    }

    public function reads(Attempt $attempt): array
    {
        return $this->limit($attempt) > 0 ? [$this->key($attempt)] : [];
    }

    public function check(Attempt $attempt, View $memory): ?Closed
    {
        $limit = $this->limit($attempt);
        $recent = $limit > 0 ? $this->recent($attempt, $memory) : [];

        return count($recent) < $limit || $limit === 0 ? null
            : Closed::flood($this->name(), $attempt->at, $recent[count($recent) - $limit] + Flood::WINDOW_SECONDS * 1000);
    }

    public function passed(Attempt $attempt, View $memory): array
    {
        if ($this->limit($attempt) === 0) {
            return [];
        }
        $key = $this->key($attempt);

        return [new Change($key, $memory->value($key), ['at' => [...$this->recent($attempt, $memory), $attempt->at->millis]], $this->name(), $this->reach->scope($attempt))];
    }

    /** @return list<int> when answers were given within the window, oldest first */
    private function recent(Attempt $attempt, View $memory): array
    {
        $kept = $memory->value($this->key($attempt));
        $window = Flood::WINDOW_SECONDS * 1000;

        return array_values(array_filter(is_array($kept) && is_array($kept['at'] ?? null) ? $kept['at'] : [], static fn (mixed $at): bool => is_int($at) && (Age::millis($at, $attempt->at) ?? $window) < $window));
    }

    private function limit(Attempt $attempt): int
    {
        return $this->reach === Reach::Person ? $attempt->flood->person : $attempt->flood->channel;
    }

    private function key(Attempt $attempt): Key
    {
        return Key::recentAnswers($this->reach->owner($attempt));
    }
}
