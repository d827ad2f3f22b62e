<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/**
 * A written day, or a year behind “until”, “by” or “before”, that is over. Silent where nobody says what day it is, on
 * years alone, on days to come, and behind words that speak of the past.
 */
final readonly class DayThatHasPassed extends AbstractCheck
{
    public function code(): string
    {
        return 'day-has-passed';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return '{text} has passed.';
    }

    public function mend(): string
    {
        return 'Write the next one, or an occasion and “[until occasion.…]”, which goes on by itself.';
    }

    public function reason(): string
    {
        return 'A day that is over stays in a text until somebody is told of it.';
    }

    private const DAY = '/\b(\d{4})-(\d{2})-(\d{2})\b|\b(\d{1,2})\.? '
        .'(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]{0,6}\.? (\d{4})\b|\b(?:until|by|before|till) (?:the '
        .'end of )?(\d{4})\b(?!-\d)/iu';

    /** Words behind which a day is meant to be over. */
    private const IS_MEANT = '/\b(?:since|founded|born|built|opened|began|begun|started|launched|made|established|est'
        .'|dating from)\W{1,3}(?:on |in |the )?$/iu';

    private const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

    public function look(CheckContext $at): array
    {
        $findings = [];
        $today = $at->around->now?->in($at->pack->channel->zone)->format('Y-m-d') ?? '';
        foreach ($today === '' ? [] : $at->texts as $text) {
            foreach ($text->literals() as [$literal, $from]) {
                preg_match_all(
                    self::DAY,
                    $literal,
                    $found,
                    PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL,
                );
                foreach ($found as $match) {
                    $part = array_map(static fn (array $one): string => (string) $one[0], $match);
                    $day = match (true) {
                        $part[7] !== '' => "{$part[7]}-12-31",
                        $part[5] !== '' => sprintf(
                            '%s-%02d-%02d',
                            $part[6],
                            (int) array_search(strtolower($part[5]), self::MONTHS, true) + 1,
                            (int) $part[4],
                        ),
                        default => "{$part[1]}-{$part[2]}-{$part[3]}",
                    };
                    $before = substr($literal, 0, (int) $match[0][1]);
                    if ($day < $today && preg_match(self::IS_MEANT, $before) !== 1) {
                        $start = $from + mb_strlen(substr($literal, 0, (int) $match[0][1]));
                        $findings[] = new Finding($this, new Span($start, $start + mb_strlen($part[0])), $text->at, [
                            'text' => $part[0],
                        ]);
                    }
                }
            }
        }

        return $findings;
    }
}
