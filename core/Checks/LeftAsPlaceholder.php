<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** A text that somebody meant to fill in later. Silent inside slots, and on three dots. */
final readonly class LeftAsPlaceholder extends Concern
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

    private const LEFT = '/\b(?:TODO|TBD|FIXME|XXX+|lorem ipsum|your[ _](?:name|link|text|url|message|channel)(?:[ _]here)?|insert[ _]\w+[ _]here|(?:name|link|text|url) here)\b|<\w+(?: \w+)?>|\?{3,}|\{\w+\}|https?:\/\/(?:www\.)?(?:example\.(?:com|org|net)|your-?\w*\.\w+)\b/iu';

    public function look(Looked $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->literals() as [$literal, $from]) {
                preg_match_all(self::LEFT, $literal, $found, PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$left, $offset]) {
                    $start = $from + mb_strlen(substr($literal, 0, $offset));
                    $findings[] = new Finding($this, new Span($start, $start + mb_strlen($left)), $text->at, ['text' => $left]);
                }
            }
        }

        return $findings;
    }
}
