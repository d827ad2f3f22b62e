<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** A text that somebody meant to fill in later. Silent inside slots, and on three dots. */
final readonly class LeftAsPlaceholder extends AbstractCheck
{
    public function code(): string
    {
        return 'placeholder';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{text}” looks as if something were still to be written there.';
    }

    public function mend(): string
    {
        return 'Write what belongs there.';
    }

    public function reason(): string
    {
        return 'It would be said as it stands.';
    }

    /** What is left to be filled in, in the ways of templates that are passed around (common practice). */
    private const LEFT = [
        '/\b(?:TODO|TBD|FIXME|lorem ipsum)\b/iu',
        // In small letters they are kisses.
        '/\bXXX{1,10}\b/u',
        '/\byour[ _](?:name|link|text|url|message|channel)(?:[ _]here)?\b/iu',
        '/\b(?:insert[ _][A-Za-z]{1,20}[ _]|(?:name|link|text|url) )here\b/iu',
        '/\?{3,}/u',
        '/\bhttps?:\/\/(?:www\.)?(?:example\.(?:com|org|net)|your-?[A-Za-z]{0,20}\.[A-Za-z]{2,20})\b/iu',
    ];

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->literals() as [$literal, $from]) {
                $left = [];
                foreach (self::LEFT as $pattern) {
                    preg_match_all($pattern, $literal, $found, PREG_OFFSET_CAPTURE);
                    $left += array_column($found[0], 0, 1);
                }
                ksort($left);
                $end = 0;
                foreach ($left as $offset => $one) {
                    if ($offset < $end) {
                        continue;
                    }
                    $end = $offset + strlen($one);
                    $start = $from + mb_strlen(substr($literal, 0, $offset));
                    $findings[] = new Finding($this, new Span($start, $start + mb_strlen($one)), $text->at, [
                        'text' => $one,
                    ]);
                }
            }
        }

        return $findings;
    }
}
