<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Memory\Owner;

/** Whom a gate counts for. */
enum GateScope: string
{
    /** Everybody together. */
    case Channel = 'channel';

    /** Each person by themselves. */
    case Person = 'person';

    /** Whose what is remembered is; null where there is no person to count for. */
    public function owner(GateContext $context): ?Owner
    {
        return match ($this) {
            self::Channel => Owner::channel(),
            self::Person => $context->person === null ? null : Owner::viewer($context->person->id),
        };
    }

    /** In the words of reports. */
    public function scope(GateContext $context): string
    {
        return $this === self::Person && $context->person !== null ? $context->person->login : 'channel';
    }
}
