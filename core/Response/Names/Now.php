<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Value\Moment;

final readonly class Now extends SimpleName
{
    public function describe(): Described
    {
        return new Described('now', '', 'a moment', '[now]', 'This moment, in the channel’s language and zone.');
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        return $in->lengths->moment();
    }

    public function value(Call $call, Run $run): Moment
    {
        return $run->world->now;
    }
}
