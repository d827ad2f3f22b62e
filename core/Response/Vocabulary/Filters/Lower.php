<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;

use function mb_check_encoding;
use function strtolower;

final readonly class Lower extends TextFilter
{
    public function describe(): Description
    {
        return new Description(
            'lower',
            '',
            'a text',
            '[words | lower]',
            'Writes it in small letters.',
            'passes it on',
            also: ['lowercase', 'small'],
        );
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return self::grown($text, 1, 3);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        // Unicode's rules cost thirty times as much, and plain letters need none of them.
        return match (true) {
            mb_check_encoding($text, 'ASCII') => strtolower($text),
            // At the end of a word it is another letter (Unicode, SpecialCasing.txt, Final_Sigma).
            str_contains($text, 'Σ') => (string) \Transliterator::create('Any-Lower')?->transliterate($text),
            default => mb_strtolower($text),
        };
    }
}
