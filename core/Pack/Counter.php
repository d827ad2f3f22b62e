<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Source\Limits;

/** A named whole number that lasts. */
final readonly class Counter
{
    /** What its numbers are kept under; a new name does not change it. */
    public string $id;

    /** @param  int|null  $floor it never goes below; null: no floor */
    public function __construct(
        public string $name,
        public CounterScope $scope = CounterScope::Channel,
        public int $start = 0,
        public ?int $floor = 0,
        public ?int $ceiling = null,
        public Reset $reset = Reset::Never,
        string $id = '',
        public Guard $guard = new Guard,
        public ChangeRule $changes = new ChangeRule,
    ) {
        $this->id = $id === '' ? $name : $id;
    }

    public function within(int $number): int
    {
        return max($this->floor ?? -Limits::COUNTER, min($this->ceiling ?? Limits::COUNTER, $number));
    }
}
