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

    /** @param  array<int, string>  $ranks  names by the least that is needed */
    public function __construct(public string $field, array $ranks, string $id = '')
    {
        $this->id = $id === '' ? $field : $id;
        krsort($ranks);
        $this->ranks = $ranks;
    }

    /** @return string|null null below the first rank */
    public function rank(int|Number $has): ?string
    {
        foreach ($this->ranks as $least => $name) {
            if (Number::compare($has, $least) >= 0) {
                return $name;
            }
        }

        return null;
    }
}
