<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Severity;

/** The same of an address beside commands: in timers, replies for closed gates, sayings of ranks, facts, lists. */
final readonly class KeptAddressGone extends AddressFindings implements OfDefinitions, OfTimers
{
    public function code(): string
    {
        return 'kept-address-gone';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function look(CheckContext $at): array
    {
        $known = $at->around->addresses;
        $findings = [];
        $texts = $known === [] ? [] : WrittenAddresses::besideCommands($at->pack, $at->prepared);
        foreach ($texts as [$place, $text, $from]) {
            array_push($findings, ...$this->in($text, $from, $place, $known));
        }

        return $findings;
    }
}
