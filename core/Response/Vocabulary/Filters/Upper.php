<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Upper extends TextFilter
{
    public function describe(): Description
    {
        return new Description(
            'upper',
            '',
            'a text',
            '[words | upper]',
            'Writes it in capitals.',
            'passes it on',
            also: ['uppercase', 'capitals'],
        );
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return self::grown($text, 3, 3);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        return mb_check_encoding($text, 'ASCII') ? strtoupper($text) : mb_strtoupper($text);
    }
}
