<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;

/** RFC 3986: everything but unreserved characters is written as its bytes. */
final readonly class Url extends TextFilter
{
    public function describe(): Description
    {
        return new Description(
            'url',
            '',
            'a text',
            'https://charts.lantern-cove.example/find?q=[words | url]',
            'Makes it fit for a place in an address.',
            'passes it on',
            also: ['encode', 'escape', 'address'],
        );
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return $text->isOnly(ValueKind::Text) && is_string($text->written)
            ? ValueEstimate::written(rawurlencode($text->written))
            : $text->asText($text->shortest, 3 * $text->bytes, 3 * $text->bytes);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        return rawurlencode($text);
    }
}
