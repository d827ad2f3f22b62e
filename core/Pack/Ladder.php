<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Value\Number;

/** Ranks, held by how much of a field one has. */
final readonly class Ladder
{
    /** @var array<int, string> names by the least that is needed, highest first */
    public array $ranks;

    public string $id;

    /**
     * @param  array<int, string>  $ranks  names by the least that is needed
     * @param  bool  $byEverEarned  whether all points ever earned count, and not those that are held
     * @param  bool  $isOn  whether anybody holds a rank
     * @param  string  $rises  what is said when somebody comes to a higher one, a response; empty for nothing
     * @param  string  $falls  what is said when somebody comes to a lower one
     */
    public function __construct(
        public string $field,
        array $ranks,
        string $id = '',
        public bool $byEverEarned = false,
        public bool $isOn = true,
        public string $rises = '',
        public string $falls = '',
    ) {
        $this->id = $id === '' ? $field : $id;
        krsort($ranks);
        $this->ranks = $ranks;
    }

    /** Whether anything is said of those who come to another rank. */
    public function speaks(): bool
    {
        return $this->isOn && $this->rises.$this->falls !== '';
    }

    /** @return string|null null below the first rank */
    public function rank(int|Number $has): ?string
    {
        foreach ($this->isOn ? $this->ranks : [] as $least => $name) {
            if (Number::compare($has, $least) >= 0) {
                return $name;
            }
        }

        return null;
    }
}
