<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Verbs;

use SilverParrot\Chat\TypedMoment;
use SilverParrot\Pack\LongestRun;
use SilverParrot\Pack\Occasion;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Moments;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

/** An occasion can be set and cleared, not counted with. */
final readonly class OccasionCell implements Assignable
{
    public function __construct(private Occasion $occasion, private EvaluationContext $run)
    {
    }

    public function shift(int|Number $amount, Span $span): never
    {
        throw EvaluationFailure::notANumberField("occasion.{$this->occasion->name}", $span);
    }

    public function set(null|bool|int|string|Value $value, Span $span): Moment
    {
        $channel = $this->run->world->pack->channel;
        $moment = is_string($value)
            ? TypedMoment::read($value, $channel, $this->run->world->now, $this->occasion->isComing)
            : Moments::of($value, $this->run);
        if (! $moment instanceof Moment) {
            throw $moment instanceof Gap
                ? EvaluationFailure::gap($moment, $span)
                : EvaluationFailure::notAMoment($this->run->print($value), TypedMoment::example($channel), $span);
        }
        $this->keep($moment);

        return $moment;
    }

    public function clear(): void
    {
        $this->keep(null);
    }

    private function keep(?Moment $at): void
    {
        foreach (LongestRun::set($this->occasion, $at, $this->run->memory()) as $change) {
            $this->run->change($change);
        }
    }
}
