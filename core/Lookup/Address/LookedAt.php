<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Address;

/** A written address that somebody looked at. */
final readonly class LookedAt
{
    /** @param  string  $to  where it has moved; empty for nowhere */
    public function __construct(public AddressState $state, public string $to = '')
    {
    }

    /** Source: RFC 9110, 15.4 and 15.5, for what a server means for good. */
    public static function answered(int $status, string $to): self
    {
        return match (true) {
            in_array($status, [404, 410], true) => new self(AddressState::Gone),
            in_array($status, [301, 308], true) && $to !== '' => new self(AddressState::Moved, $to),
            default => new self(AddressState::Fine),
        };
    }
}
