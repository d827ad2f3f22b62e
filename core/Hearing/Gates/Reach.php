<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Key;

/** Whom a gate counts for. */
enum Reach: string
{
    /** Everybody together. */
    case Channel = 'channel';

    /** Each person by themselves. */
    case Person = 'person';

    /** The owner of what is remembered, as keys have it; null where there is no person to count for. */
    public function owner(Context $context): ?string
    {
        return match ($this) {
            self::Channel => Key::CHANNEL,
            self::Person => $context->person === null ? null : Key::viewer($context->person->id),
        };
    }

    /** In the words of reports. */
    public function scope(Context $context): string
    {
        return $this === self::Person && $context->person !== null ? $context->person->login : 'channel';
    }
}
