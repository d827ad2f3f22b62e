<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Lookup\Request;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\SaysOwnText;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Limits;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

/** `page` */
final readonly class PageName extends SimpleName implements SaysOwnText
{
    public function describe(): Described
    {
        return new Described('page', '', 'a text', 'All commands: [page or "ask the crew"]', 'The address of the public list of commands.', later: 'there is no such page yet, so it is nothing.');
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        return Outlook::text(1, Limits::READING)->orNothing()->orGap(GapReason::DetailsDown);
    }

    public function value(Call $call, Run $run): null|bool|int|string|Value
    {
        return $run->read(Request::channel('page'));
    }
}
