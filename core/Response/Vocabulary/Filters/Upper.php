<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\Outlook;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Described;

final readonly class Upper extends TextFilter
{
    public function describe(): Described
    {
        return new Described('upper', '', 'a text', '[words | upper]', 'Writes it in capitals.', 'passes it on');
    }

    protected function changed(Outlook $text): Outlook
    {
        return self::grown($text, 3, 3);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        return mb_check_encoding($text, 'ASCII') ? strtoupper($text) : mb_strtoupper($text);
    }
}
