<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Source\Ends;

final readonly class Trim extends TextFilter
{
    public function describe(): Described
    {
        return new Described('trim', '', 'a text', '[words 2 | trim]', 'Takes the spaces at both ends away.', 'passes it on');
    }

    public function outlook(Outlook $value, array $arguments, array $named, Forecast $in): Outlook
    {
        return $value->asText(0, $value->longest, $value->bytes);
    }

    public function change(string $text, Run $run): string
    {
        return Ends::withoutSpace($text);
    }
}
