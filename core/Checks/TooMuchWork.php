<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** Filters that together can take longer than one reply may. Silent where even the longest line leaves it time. */
final readonly class TooMuchWork extends AbstractCheck
{
    public function code(): string
    {
        return 'too-much-work';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'With a long line, these filters can take more work than one reply may, and it would fail.';
    }

    public function mend(): string
    {
        return 'Leave some of them out, or write “cut 100” before them.';
    }

    public function reason(): string
    {
        return 'A reply that takes long would hold up all others.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            if ($text->estimate->work > Limits::WORK) {
                $findings[] = new Finding($this, new Span(0, mb_strlen($text->response->text)), $text->at);
            }
        }

        return $findings;
    }
}
