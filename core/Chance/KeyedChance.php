<?php

declare(strict_types=1);

namespace SilverParrot\Chance;

use Random\Engine\Xoshiro256StarStar;

/** Chance that depends on the channel's seed, the event and the place, and on nothing else. */
final readonly class KeyedChance implements Chance
{
    public function __construct(private string $seed, private string $eventKey)
    {
    }

    public function at(string $place, int $use): Draw
    {
        // The parts are joined by a byte that UTF-8 text never holds, so no two different keys run together.
        return new Draw(new Xoshiro256StarStar(hash('sha256', implode("\xFF", [$this->seed, $this->eventKey, $place, (string) $use]), true)));
    }
}
