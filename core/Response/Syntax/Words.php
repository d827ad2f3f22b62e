<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Source\Span;

/** What was typed after the trigger: `word 1`, `words`, `words 2`, `words 2 to 4`. */
final readonly class Words extends Expression
{
    /** @param  int|null  $to the last word, counted from 1; null for all that follow */
    public function __construct(private Span $span, public int $from, public ?int $to)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [];
    }

    public function prepared(): Closure
    {
        if ($this->from === 1 && $this->to === null) {
            return static fn (EvaluationContext $run): ?string => $run->scene->words === '' ? null : $run->scene->words;
        }
        [$at, $most] = [$this->from - 1, $this->to === null ? null : max(0, $this->to - $this->from + 1)];

        return static function (EvaluationContext $run) use ($at, $most): ?string {
            $chosen = array_slice($run->scene->wordList, $at, $most);

            return $chosen === [] ? null : implode(' ', $chosen);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $words = ValueEstimate::text(1, $in->longestTyped())->typed()->orNothing();

        // A length of time has two words or more: "2 days".
        return $this->from === $this->to ? $words->neverReadAs(ValueKind::TimeSpan) : $words;
    }

    public function key(): string
    {
        return "words {$this->from} {$this->to}";
    }

    public function whenNothing(Pack $pack): string
    {
        return 'nothing is typed';
    }

    public function readsLine(): bool
    {
        return true;
    }

    public function saysOwnText(): bool
    {
        return false;
    }
}
