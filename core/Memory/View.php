<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** Memory as far as it has been fetched. No I/O; never throws. */
interface View
{
    /** False when the key was not fetched: it may hold anything. */
    public function knows(Key $key): bool;

    /**
     * What is kept under a key that is known; null when nothing is.
     *
     * @return null|bool|int|string|array<string, mixed>
     */
    public function value(Key $key): null|bool|int|string|array;
}
