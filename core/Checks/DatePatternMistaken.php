<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Vocabulary\Filters\Date;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** Capital letters in a pattern of a date where small ones are meant: the day of the year, the year of the week. */
final readonly class DatePatternMistaken extends AbstractCheck
{
    public function code(): string
    {
        return 'date-pattern-mistaken';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'In “{pattern}”, {letter} is {is}.';
    }

    public function mend(): string
    {
        return 'Write “{instead}”.';
    }

    public function reason(): string
    {
        return 'It says another number than the one that is meant.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $pattern =
                    $one instanceof Filtered
                    && $one->filter instanceof Date
                    && isset($one->arguments[0])
                    && $one->arguments[0] instanceof Literal
                        ? $one->arguments[0]->value
                        : null;
                if (! is_string($pattern)) {
                    continue;
                }
                $plain = (string) preg_replace("/'[^']*+'/", '', $pattern);
                $letter = match (true) {
                    str_contains($plain, 'D') => 'D',
                    str_contains($plain, 'Y') => 'Y',
                    default => '',
                };
                if ($letter !== '') {
                    $instead = strtr($pattern, ['D' => 'd', 'Y' => 'y']);
                    $findings[] = new Finding(
                        $this,
                        $one->arguments[0]->span(),
                        $text->at,
                        [
                            'pattern' => $pattern,
                            'letter' => $letter,
                            'is' => $letter === 'D'
                                    ? 'the day of the year, counted from 1 to 366'
                                    : 'the year of the week, another one around New Year',
                            'instead' => $instead,
                        ],
                        "\"$instead\"",
                    );
                }
            }
        }

        return $findings;
    }
}
