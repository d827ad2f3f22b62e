<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;

final readonly class Upper extends TextFilter
{
    public function describe(): Described
    {
        return new Described('upper', '', 'a text', '[words | upper]', 'Writes it in capitals.', 'passes it on');
    }

    protected function change(string $text, Run $run): string
    {
        return mb_strtoupper($text);
    }
}
