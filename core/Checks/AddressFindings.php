<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Addresses;
use SilverParrot\Lookup\Address\AddressState;
use SilverParrot\Lookup\Address\LookedAt;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Span;

/** What is said of addresses that no longer lead where they did, in commands and in what they name alike. */
abstract readonly class AddressFindings extends AbstractCheck
{
    public function sentence(): string
    {
        return '{address} {why}.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return 'Whoever follows it finds nothing, or a warning.';
    }

    /**
     * @param  int  $from  where the text begins, in characters
     * @param  array<string, LookedAt>  $known  by address
     * @return list<Finding>
     */
    protected function in(string $text, int $from, string $at, array $known): array
    {
        $findings = [];
        foreach ($known === [] ? [] : Addresses::in($text) as [$byte, $address]) {
            $looked = $known[$address] ?? null;
            if ($looked === null || $looked->state === AddressState::Fine) {
                continue;
            }
            $start = $from + mb_strlen(substr($text, 0, $byte));
            $isMoved = $looked->state === AddressState::Moved;
            // Where it moved a server says: no sign of it is to open a slot (RFC 3986, 2.2 and 2.4).
            $to = strtr($looked->to, ['[' => '%5B', ']' => '%5D']);
            $findings[] = new Finding(
                $this,
                new Span($start, $start + mb_strlen($address)),
                $at,
                [
                    'address' => $address,
                    'why' => match ($looked->state) {
                        AddressState::Gone => 'is gone',
                        AddressState::Moved => 'has moved for good',
                        default => 'has a certificate that browsers warn of',
                    },
                    'instead' => $isMoved ? $to : 'another address, or take it out',
                ],
                $isMoved ? $to : null,
            );
        }

        return $findings;
    }
}
