<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;

final readonly class Title extends TextFilter
{
    public function describe(): Described
    {
        return new Described('title', '', 'a text', '[words | title]', 'Begins each word with a capital and goes on in small letters.', 'passes it on');
    }

    public function outlook(Outlook $value, array $arguments, array $named, Forecast $in): Outlook
    {
        return self::grown($value, 3, 3);
    }

    public function change(string $text, Run $run): string
    {
        return mb_convert_case($text, MB_CASE_TITLE, 'UTF-8');
    }
}
