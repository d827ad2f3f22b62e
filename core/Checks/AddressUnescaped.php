<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** A slot inside an address without the filter “url”. Silent on whole numbers, and where the address only begins behind the slot. */
final readonly class AddressUnescaped extends AbstractCheck
{
    public function code(): string
    {
        return 'address-unescaped';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{slot} stands in an address as it is: a space or a sign in it breaks the link.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return 'What people type has spaces and signs that mean something else in an address.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $inAddress = false;
            foreach ($text->segments() as [$segment, $isSlot, $from]) {
                if (! $isSlot) {
                    $last = preg_split('/\s/u', $segment) ?: [''];
                    $inAddress = preg_match('#https?://#i', end($last)) === 1 || ($inAddress && count($last) === 1);

                    continue;
                }
                if ($inAddress && preg_match('/\|\s*(?:url|link)\b/iu', $segment) !== 1 && preg_match('/^\[\s*(?:when|else|end|roll|counter\.|add|take)\b/iu', $segment) !== 1) {
                    $instead = rtrim(substr($segment, 0, -1)).' | url]';
                    $findings[] = new Finding($this, new Span($from, $from + mb_strlen($segment)), $text->at, ['slot' => $segment, 'instead' => $instead], $instead);
                }
            }
        }

        return $findings;
    }
}
