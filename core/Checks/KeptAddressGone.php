<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Severity;

/** The same of an address that is kept as a fact or stands in a list. */
final readonly class KeptAddressGone extends AddressFindings implements OfDefinitions
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
        foreach ($known === [] ? [] : array_values($at->pack->facts) as $index => $fact) {
            array_push($findings, ...$this->in($fact->text, 0, "/facts/$index/text", $known));
        }
        foreach ($known === [] ? [] : array_values($at->pack->lists) as $index => $list) {
            foreach ($list->items as $place => $item) {
                array_push($findings, ...$this->in($item->text, 0, "/lists/$index/items/$place/text", $known));
            }
        }

        return $findings;
    }
}
