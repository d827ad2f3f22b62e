<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Twice extends TextFilter
{
    public function describe(): Description
    {
        return new Description('twice', '', 'a text', '[caller | twice]', 'Says it two times.', 'passes it on');
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return $text->asText(2 * $text->shortest, 2 * $text->longest, 2 * $text->bytes);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        return $text.$text;
    }
}
