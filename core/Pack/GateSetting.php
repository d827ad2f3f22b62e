<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Levels;

/** What is set of a command's gates, as far as a pack knows of it. */
abstract readonly class GateSetting
{
    /** What holds where a command says nothing of it. */
    abstract public static function usual(): self;

    /** Whether the command can be set off at all. */
    public function isOn(): bool
    {
        return true;
    }

    /** Whether somebody with these levels may ever set it off. */
    public function admits(Levels $levels): bool
    {
        return true;
    }
}
