<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;

/** Who may: anybody with any of some levels, or with at least one level. The streamer always may. */
final readonly class LevelRule
{
    /** @param  list<Level>  $anyOf used where $atLeast is null; empty is everyone */
    public function __construct(public array $anyOf = [], public ?Level $atLeast = null)
    {
    }

    public function admits(Levels $held): bool
    {
        if ($this->isForEveryone() || $held->has(Level::Streamer)) {
            return true;
        }
        if ($this->atLeast !== null) {
            return $held->highest()->value >= $this->atLeast->value;
        }
        foreach ($this->anyOf as $level) {
            if ($held->has($level)) {
                return true;
            }
        }

        return false;
    }

    public function isForEveryone(): bool
    {
        return $this->atLeast === Level::Everyone
            || ($this->atLeast === null && ($this->anyOf === [] || in_array(Level::Everyone, $this->anyOf, true)));
    }

    /** "everyone", "moderators and up", "regulars, VIPs and the streamer" */
    public function inWords(): string
    {
        if ($this->isForEveryone()) {
            return 'everyone';
        }
        if ($this->atLeast !== null) {
            return $this->atLeast === Level::Streamer ? 'the streamer' : $this->atLeast->plural().' and up';
        }

        $words = array_map(static fn (Level $level): string => $level->plural(), $this->anyOf);
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words)." and $last";
    }
}
