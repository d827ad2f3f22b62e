<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

use Closure;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\MomentEstimate;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Moments;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;

/** `since occasion.leak`, `until "2027-01-01"`. Nothing, where the moment is on the wrong side of now. */
final readonly class SinceUntil extends Expression
{
    public function __construct(private Span $span, public bool $isSince, public Expression $moment)
    {
    }

    public function span(): Span
    {
        return $this->span;
    }

    public function children(): array
    {
        return [$this->moment];
    }

    public function prepared(): Closure
    {
        [$isSince, $of] = [$this->isSince, $this->moment->prepared()];

        return static function (EvaluationContext $run) use ($isSince, $of): TimeSpan|Gap|null {
            $moment = Moments::of($of($run), $run);
            if (! $moment instanceof Moment) {
                return $moment;
            }

            $zone = $run->world->pack->channel->zone;
            $moment = $isSince && $moment->isYearly ? $moment->lastTime($run->world->now, $zone) : $moment;

            return $isSince
                ? TimeSpan::between($moment, $run->world->now)
                : TimeSpan::between($run->world->now, $moment);
        };
    }

    public function estimate(EstimateContext $in): ValueEstimate
    {
        $moment = $in->value($this->moment);
        $isDay = is_string($moment->written) && Moment::fromIso($moment->written, $in->pack->channel->zone) !== null;

        return $in->lengths
            ->timeSpan()
            ->orNothing()
            ->orGap(
                ...$moment->gaps,
                ...$moment->isOnly(ValueKind::Moment) || $isDay || $moment->kinds === [] ? [] : [GapReason::WrongKind],
            )
            ->failing(
                $moment->fails
                    ?? (MomentEstimate::isNone($moment, $in->pack->channel->zone) ? CertainFailure::NotAMoment : null),
            );
    }

    public function whenNothing(Pack $pack): ?string
    {
        if (! str_starts_with($this->moment->place() ?? '', 'occasion.')) {
            return null;
        }

        return $this->isSince ? 'it never was, or is still to come' : 'it is past, or never was set';
    }

    public function key(): ?string
    {
        $key = $this->moment->key();

        return $key === null ? null : ($this->isSince ? 'since ' : 'until ').$key;
    }
}
