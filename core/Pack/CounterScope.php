<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

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

    /** Whether something remembered under this owner (see Key) can belong to a counter of this scope. */
    public function hasOwner(string $owner): bool
    {
        $begins = match ($this) {
            self::Channel => '',
            self::Category => 'category:',
            self::Viewer => 'viewer:',
        };

        return $begins === '' ? $owner === '' : str_starts_with($owner, $begins) && strlen($owner) > strlen($begins) && strlen($owner) <= self::LONGEST_OWNER
            && preg_match('/[\x00-\x1F\x7F]/', $owner) !== 1;
    }
}
