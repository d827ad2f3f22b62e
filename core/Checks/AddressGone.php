<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Severity;

/** An address in a response that is gone, moved for good, or has a broken certificate. Silent on what slots fill in. */
final readonly class AddressGone extends AddressFindings
{
    public function code(): string
    {
        return 'address-gone';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->around->addresses === [] ? [] : $at->said() as $text) {
            foreach (WrittenAddresses::whole($text->segments()) as [$literal, $from]) {
                array_push($findings, ...$this->in($literal, $from, $text->at, $at->around->addresses));
            }
        }

        return $findings;
    }
}
