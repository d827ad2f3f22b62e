<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;

final readonly class Title extends TextFilter
{
    public function describe(): Described
    {
        return new Described('title', '', 'a text', '[words | title]', 'Begins each word with a capital and goes on in small letters.', 'passes it on');
    }

    protected function change(string $text, Run $run): string
    {
        return mb_convert_case($text, MB_CASE_TITLE, 'UTF-8');
    }
}
