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

final readonly class Now extends SimpleName
{
    public function describe(): Described
    {
        return new Described('now', '', 'a moment', '[now]', 'This moment, in the channel’s language and zone.');
    }

    public function outlook(Call $call, EstimateContext $in): Outlook
    {
        return $in->lengths->moment();
    }

    public function prepared(Call $call): Closure
    {
        return static fn (Run $run): Moment => $run->world->now;
    }
}
