<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Laborious;
use SilverParrot\Source\Words;

final readonly class Title extends TextFilter implements Laborious
{
    public function describe(): Description
    {
        return new Description(
            'title',
            '',
            'a text',
            '[words | title]',
            'Begins each word with a capital and goes on in small letters.',
            'passes it on',
            also: ['capitalize'],
        );
    }

    /** Words are found one by one. */
    public function steps(int $bytes): int
    {
        return 10 + 2 * $bytes;
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return self::grown($text, 3, 3);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        // Word by word, or the letters behind a number would begin one: “2Nd”.
        $words = Words::of($text, $run->world->pack->channel->language);

        return implode('', array_map(static function (string $word): string {
            $first = (string) grapheme_substr($word, 0, 1);

            return mb_convert_case($first, MB_CASE_TITLE, 'UTF-8').mb_strtolower(substr($word, strlen($first)));
        }, $words));
    }
}
