<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use Closure;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\EstimateContext;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Syntax\Call;

final readonly class Message extends SimpleName
{
    public function describe(): Described
    {
        return new Described('message', '', 'a text', '[message]', 'The whole line, as it was typed.');
    }

    public function outlook(Call $call, EstimateContext $in): Outlook
    {
        return Outlook::text(1, $in->line())->typed();
    }

    public function prepared(Call $call): Closure
    {
        return static fn (Run $run): ?string => $run->scene->message === '' ? null : $run->scene->message;
    }

    public function readsLine(): bool
    {
        return true;
    }
}
