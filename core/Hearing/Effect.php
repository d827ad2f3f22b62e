<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Person;

/** Something that an event brings about outside of chat and memory. It is carried out after the commit, keyed. */
interface Effect
{
    /** The deed that asks for it, as a document calls it. */
    public function deed(): string;

    public function by(): Person;

    /**
     * @return array<string, mixed> what it is and all that it needs, in plain values, so that it can be kept until it
     *     is carried out
     */
    public function toArray(): array;
}
