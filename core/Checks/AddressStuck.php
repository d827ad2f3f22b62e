<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** An address with a sign or a word stuck to its end or its beginning. Silent on a full stop, comma or bracket that ends a sentence where chats leave it out: only “.” and “,” right behind a path are known to break links. */
final readonly class AddressStuck extends AbstractCheck
{
    public function code(): string
    {
        return 'address-stuck';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{text}” would become part of the address beside it.';
    }

    public function mend(): string
    {
        return 'Put a space between.';
    }

    public function reason(): string
    {
        return 'A chat makes a link of everything up to the next space, and the link leads nowhere.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $literals = $text->literals();
            foreach ($literals as [$literal, $from]) {
                preg_match_all('#(\S?)(https?://[^\s]+)#iu', $literal, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
                foreach ($found as [, $before, $address]) {
                    $start = $from + mb_strlen(substr($literal, 0, (int) $address[1]));
                    if ($before[0] !== '' && ! str_contains('([{"“„\'', $before[0])) {
                        $findings[] = new Finding($this, new Span($start - 1, $start), $text->at, ['text' => $before[0]], $before[0].' ');
                    }
                    $trimmed = rtrim($address[0], '.,;:!?)');
                    $end = $start + mb_strlen($trimmed);
                    // Two addresses that were pasted behind one another.
                    if (preg_match('#.(https?://)#isu', $trimmed, $second, PREG_OFFSET_CAPTURE) === 1) {
                        $cut = $start + mb_strlen(substr($trimmed, 0, (int) $second[1][1]));
                        $findings[] = new Finding($this, new Span($cut, $cut + mb_strlen($second[1][0])), $text->at, ['text' => $second[1][0]], ' '.$second[1][0]);
                    }
                    $tail = mb_substr($address[0], mb_strlen($trimmed));
                    if ($tail !== '') {
                        $findings[] = new Finding($this, new Span($end, $end + mb_strlen($tail)), $text->at, ['text' => $tail], ' '.$tail);
                    }
                }
            }
        }

        return $findings;
    }
}
