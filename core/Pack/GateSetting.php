<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Chat\Person;

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

    /** Whether they may ever set it off, as far as that goes by who they are. */
    public function admits(Person $person): bool
    {
        return true;
    }

    /** @return list<string> what is always there behind it: "words", "target" */
    public function promises(): array
    {
        return [];
    }

    /** @return list<string> what it names of the pack, as responses do: "caller.boat", "goods.lantern" */
    public function names(): array
    {
        return [];
    }

    /** @param  string  $place  what is called otherwise now, one of its names */
    public function renamed(string $place, string $name): self
    {
        return $this;
    }
}
