<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Source\Span;

/** What was typed after the trigger: `word 1`, `words`, `words 2`, `words 2 to 4`. */
final readonly class Words implements Expression
{
    /** @param  int|null  $to the last word, counted from 1; null for all that follow */
    public function __construct(private Span $span, public int $from, public ?int $to)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function evaluate(Run $run): ?string
    {
        if ($this->from === 1 && $this->to === null) {
            return $run->scene->words === '' ? null : $run->scene->words;
        }
        $chosen = array_slice($run->scene->wordList, $this->from - 1, $this->to === null ? null : max(0, $this->to - $this->from + 1));

        return $chosen === [] ? null : implode(' ', $chosen);
    }
}
