<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Syntax\Call;

final readonly class Message extends SimpleName
{
    public function describe(): Described
    {
        return new Described('message', '', 'a text', '[message]', 'The whole line, as it was typed.');
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        return Outlook::text(1, $in->line())->typed();
    }

    public function value(Call $call, Run $run): ?string
    {
        return $run->scene->message === '' ? null : $run->scene->message;
    }
}
