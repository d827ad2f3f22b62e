<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Value\Moment;

final readonly class Today extends SimpleName
{
    public function describe(): Description
    {
        return new Description(
            'today',
            '',
            'a moment',
            '[today | date "EEEE"] at the cove',
            'The beginning of this day in the channel’s zone; it is said as the day.',
        );
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return $in->lengths->moment();
    }

    public function prepared(Call $call): Closure
    {
        return static fn (
            EvaluationContext $run,
        ): Moment => Moment::of($run->world->now->in($run->world->pack->channel->zone)->setTime(0, 0));
    }
}
