<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\LeaseLost;

/** An event carried through, and what it found on the way. */
final readonly class HandledEvent
{
    /**
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id, as it was before; null for
     *     what was not kept
     * @param  array<string, null|bool|int|string>  $readings  by request id
     * @param  list<string>  $asked  ids of what look-ups were asked for
     */
    public function __construct(
        public Outcome|AlreadyHandled|LeaseLost $outcome,
        public array $memory = [],
        public array $readings = [],
        public array $asked = [],
    ) {
    }
}
