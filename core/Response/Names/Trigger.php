<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use Closure;
use SilverParrot\Response\Described;
use SilverParrot\Response\Direct;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\SaysOwnText;
use SilverParrot\Response\Syntax\Call;

final readonly class Trigger extends SimpleName implements Direct, SaysOwnText
{
    public function describe(): Described
    {
        return new Described('trigger', '', 'a text', '[trigger]', 'The word that set the command off, as it was typed.');
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        return Outlook::oneOf(...$in->triggers);
    }

    public function value(Call $call, Run $run): ?string
    {
        return $run->scene->trigger === '' ? null : $run->scene->trigger;
    }

    public function direct(Call $call): Closure
    {
        return static fn (Run $run): ?string => $run->scene->trigger === '' ? null : $run->scene->trigger;
    }
}
