<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/**
 * An address with a sign or a word stuck to its end or its beginning. Silent on a full stop, comma or bracket that ends
 * a sentence where chats leave it out: only “.” and “,” right behind a path are known to break links.
 */
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

    /**
     * Signs that end a sentence or a quotation. Chats leave some out of the link and take others along (common
     * practice); the last two of them all leave out.
     */
    private const ENDS = ',;:!?…”“»«’‘\'"。、！？：；）」』.)\p{Extended_Pictographic}\x{FE0F}';

    private const SIGNS = '/(?<!['.self::ENDS.'])['.self::ENDS.']++$/u';

    private const LEFT_OUT = ['.', ')'];

    /** Signs of an address behind which another one may stand. */
    private const BEFORE_ANOTHER = ['=', '/', '?', '&', '#', ':'];

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->said() as $text) {
            $isInAddress = false;
            $segments = $text->segments();
            foreach ($segments as $place => [$segment, $isSlot, $from]) {
                if ($isSlot) {
                    continue;
                }
                $goesOn = isset($segments[$place + 1]);
                if (
                    $isInAddress
                    && preg_match('/^\S++/u', $segment, $rest) === 1
                    && ($rest[0] !== $segment || ! $goesOn)
                ) {
                    $findings[] = $this->tail($rest[0], $from, $text, isBehindSlot: true);
                }
                array_push($findings, ...$this->inLiteral($segment, $from, $goesOn, $text));
                $isInAddress =
                    preg_match('#https?://\S*+$#iu', $segment) === 1
                    || ($isInAddress && preg_match('/\s/u', $segment) !== 1);
            }
        }

        return array_values(array_filter($findings));
    }

    /**
     * @param  bool  $goesOn  whether a slot stands behind it
     * @return list<Finding|null>
     */
    private function inLiteral(string $literal, int $from, bool $goesOn, ReadText $text): array
    {
        $findings = [];
        preg_match_all('#(\S?)(https?://\S++)#iu', $literal, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
        foreach ($found as [, $before, $address]) {
            $start = $from + mb_strlen(substr($literal, 0, (int) $address[1]));
            if ($before[0] !== '' && ! str_contains('([{"“„\'«‘', $before[0])) {
                $findings[] = new Finding(
                    $this,
                    new Span($start - 1, $start),
                    $text->at,
                    ['text' => $before[0]],
                    $before[0].' ',
                );
            }
            // Two addresses that were pasted behind one another.
            if (
                preg_match('#(.)(https?://)#isu', $address[0], $second, PREG_OFFSET_CAPTURE) === 1
                && ! in_array($second[1][0], self::BEFORE_ANOTHER, true)
            ) {
                $cut = $start + mb_strlen(substr($address[0], 0, (int) $second[2][1]));
                $findings[] = new Finding(
                    $this,
                    new Span($cut, $cut + mb_strlen($second[2][0])),
                    $text->at,
                    ['text' => $second[2][0]],
                    ' '.$second[2][0],
                );
            }
            $isLast = strlen($literal) === $address[1] + strlen($address[0]);
            if (! $isLast || ! $goesOn) {
                $findings[] = $this->tail($address[0], $start, $text);
            }
        }

        return $findings;
    }

    /** What ends an address, or what is left of one behind a slot, and does not belong to it. */
    private function tail(string $address, int $from, ReadText $text, bool $isBehindSlot = false): ?Finding
    {
        if (preg_match(self::SIGNS, $address, $signs) !== 1) {
            return null;
        }
        $tail = $signs[0];
        // A bracket that was opened in the address closes in it.
        while (
            str_starts_with($tail, ')')
            && substr_count(mb_substr($address, 0, -mb_strlen($tail) + 1 === 0 ? null : -mb_strlen($tail) + 1), ')')
                <= substr_count($address, '(')
        ) {
            $tail = mb_substr($tail, 1);
        }
        $isLeftOut = array_diff(mb_str_split($tail), $isBehindSlot ? [')'] : self::LEFT_OUT) === [];
        $start = $from + mb_strlen($address) - mb_strlen($tail);

        return $tail === '' || $isLeftOut
            ? null
            : new Finding(
                $this,
                new Span($start, $start + mb_strlen($tail)),
                $text->at,
                ['text' => $tail],
                ' '.$tail,
            );
    }
}
