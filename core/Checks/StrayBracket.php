<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** A “]” outside a slot that closes nothing. Silent behind “[[”, which says a bracket, and on faces like :] and =]. */
final readonly class StrayBracket extends AbstractCheck
{
    public function code(): string
    {
        return 'stray-bracket';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'This “]” closes nothing, and is said.';
    }

    public function mend(): string
    {
        return 'Remove it, or open its slot with “[”.';
    }

    public function reason(): string
    {
        return 'Something that was to be a slot may have lost its beginning.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $open = 0;
            foreach ($text->literals() as [$literal, $from]) {
                preg_match_all('/\[\[|(?<![:;=8])\]/u', $literal, $found, PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$sign, $offset]) {
                    $open += $sign === '[[' ? 1 : -1;
                    if ($open < 0) {
                        $open = 0;
                        $start = $from + mb_strlen(substr($literal, 0, $offset));
                        $findings[] = new Finding($this, new Span($start, $start + 1), $text->at, [], '');
                    }
                }
            }
        }

        return $findings;
    }
}
