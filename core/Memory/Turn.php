<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Chat\Saying;

/** What came of hearing an event inside a turn. */
interface Turn
{
    /** @return list<Change>|null null where more must be fetched first: the turn is undone, its event key too */
    public function changesToKeep(): ?array;

    /** By whom and by what the changes came about. */
    public function cause(): Cause;

    /** @return list<Saying> to be queued for the outbox in the same commit */
    public function sayingsToQueue(): array;

    /** @return list<object> what is to be carried out after the commit; the store of the air keeps it until then */
    public function effectsToKeep(): array;
}
