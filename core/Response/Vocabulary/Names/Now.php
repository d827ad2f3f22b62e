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

final readonly class Now extends SimpleName
{
    public function describe(): Description
    {
        return new Description('now', '', 'a moment', '[now]', 'This moment, in the channel’s language and zone.');
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return $in->lengths->moment();
    }

    public function prepared(Call $call): Closure
    {
        return static fn (EvaluationContext $run): Moment => $run->world->now;
    }
}
