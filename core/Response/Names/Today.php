<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use Closure;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\EstimateContext;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Value\Moment;

final readonly class Today extends SimpleName
{
    public function describe(): Described
    {
        return new Described('today', '', 'a moment', '[today | date "EEEE"] at the cove', 'The beginning of this day in the channel’s zone; it is said as the day.');
    }

    public function outlook(Call $call, EstimateContext $in): Outlook
    {
        return $in->lengths->moment();
    }

    public function prepared(Call $call): Closure
    {
        return static fn (Run $run): Moment => Moment::of($run->world->now->in($run->world->pack->channel->zone)->setTime(0, 0));
    }
}
