<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Source\Finding;

/** What checks found in commands, as far as they were looked at. */
final readonly class FoundSoFar
{
    /**
     * @param  array<int, list<Finding>>  $byCommand  by the row's number; places are counted from the command
     * @param  array<string, true>  $used  what these commands name: "counter.planks"
     * @param  int  $left  commands that were not looked at yet
     */
    public function __construct(public array $byCommand, public array $used, public int $left)
    {
    }
}
