<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Memory\Owner;

/** What has a number of its own. */
enum CounterScope: string
{
    /** Bytes; what is kept has room for it beside the counter's name. */
    private const LONGEST_OWNER = 180;

    /** One for the whole channel. */
    case Channel = 'channel';

    /** One for each category. */
    case Category = 'category';

    /** One for each viewer. */
    case Viewer = 'viewer';

    /** Whether there are several numbers, whose sum is kept beside them. */
    public function hasSum(): bool
    {
        return $this !== self::Channel;
    }

    /** Whether something of this owner can belong to a counter of this scope. */
    public function hasOwner(Owner $owner): bool
    {
        return $owner->kind->value === $this->value
            && strlen($owner->id) <= self::LONGEST_OWNER
            && preg_match('/[\x00-\x1F\x7F]/', $owner->of) !== 1;
    }
}
