<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Range;

/** `roll 6`, `roll 1 to 100`: a whole number, each equally likely. */
final readonly class Roll extends Expression
{
    /** @param  Expression|null  $to null: from 1 to the one bound */
    public function __construct(private Span $span, public Expression $from, public ?Expression $to)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [$this->from, ...($this->to === null ? [] : [$this->to])];
    }

    public function prepared(): Closure
    {
        [$span, $first, $second] = [$this->span, $this->from->prepared(), $this->to?->prepared()];

        return static function (EvaluationContext $run) use ($span, $first, $second): int|Gap {
            $from = Numbers::whole($first($run));
            $to = $second === null ? $from : Numbers::whole($second($run));
            if ($from instanceof Gap || $to instanceof Gap) {
                $gap = $from instanceof Gap ? $from : $to;

                return $gap->reason === GapReason::NotWhole ? self::badRoll() : $gap;
            }
            if ($second === null) {
                $from = 1;
                if ($to < 1) {
                    return self::badRoll();
                }
            }
            [$low, $high] = [min($from, $to), max($from, $to)];

            // Compared as floats: the difference of two ints may be more than an int.
            return (float) $high - (float) $low >= Limits::WIDEST_ROLL
                ? self::badRoll()
                : $run->draw($span)->getInt($low, $high);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        [$first, $last] = [$in->value($this->from), $in->value($this->to ?? $this->from)];
        [$from, $to] = [$first->asNumber(), $last->asNumber()];
        $gaps = [...$from->gaps, ...$to->gaps];
        $fails =
            $from->fails
            ?? ($to->fails ?? ($first->isNeverWhole() || $last->isNeverWhole() ? CertainFailure::BadRoll : null));
        if ($from->range === null || $to->range === null) {
            return ValueEstimate::whole(new Range(-Limits::COUNTER, Limits::COUNTER))
                ->orGap(GapReason::BadRoll, ...$gaps)
                ->failing($fails);
        }
        $range = $this->to === null ? new Range(1, max(1, $from->range->high)) : $from->range->through($to->range);
        $isBad =
            $range->hasNoEnd()
            || (float) $range->high - (float) $range->low >= Limits::WIDEST_ROLL
            || ($this->to === null && $from->range->low < 1);

        $isNever = $this->to === null && $from->range->high < 1;

        return ValueEstimate::whole($range)
            ->orGap(...$gaps, ...$isBad ? [GapReason::BadRoll] : [])
            ->failing($fails ?? ($isNever ? CertainFailure::BadRoll : null));
    }

    private static function badRoll(): Gap
    {
        return new Gap(GapReason::BadRoll, ['limit' => (string) Limits::WIDEST_ROLL]);
    }
}
