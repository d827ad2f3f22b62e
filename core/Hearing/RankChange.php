<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Person;
use SilverParrot\Pack\Ladder;

/** Somebody who has another rank than before, or one at last, or none any more. */
final readonly class RankChange
{
    public function __construct(
        public Ladder $ladder,
        public Person $person,
        public ?string $before,
        public ?string $after,
    ) {
    }

    /** What the ladder says of it; empty for nothing. */
    public function text(): string
    {
        $ranks = array_values($this->ladder->ranks);
        $place = static fn (?string $rank): int => $rank === null
            ? count($ranks)
            : (int) array_search($rank, $ranks, true);

        // The highest stands first.
        return $place($this->after) < $place($this->before) ? $this->ladder->rises : $this->ladder->falls;
    }
}
