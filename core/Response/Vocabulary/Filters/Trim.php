<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Source\TextTrimmer;

final readonly class Trim extends TextFilter
{
    public function describe(): Description
    {
        return new Description(
            'trim',
            '',
            'a text',
            '[words 2 | trim]',
            'Takes the spaces at both ends away.',
            'passes it on',
            also: ['spaces', 'strip'],
        );
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return $text->asText(0, $text->longest, $text->bytes);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        return TextTrimmer::withoutSpace($text);
    }
}
