<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Hearing\Attempt;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\View;

/** One condition that must hold before steps run. */
interface Gate
{
    /** In the author's words: "level", "channel cooldown". */
    public function name(): string;

    /** @return list<Key> what it must know of memory */
    public function reads(Attempt $attempt): array;

    /** Null where it is open. */
    public function check(Attempt $attempt, View $memory): ?Closed;

    /** @return list<Change> what it keeps when the steps have run */
    public function passed(Attempt $attempt, View $memory): array;
}
