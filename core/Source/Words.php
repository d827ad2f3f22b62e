<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** A text divided as Unicode divides words (UAX #29), by the habits of a language. */
final class Words
{
    /**
     * @param  string  $language  as ICU names it, e.g. "en"
     * @return list<string> words, and what stands between them, in order; put together they are the text again
     */
    public static function of(string $text, string $language): array
    {
        $breaks = \IntlBreakIterator::createWordInstance($language);
        if ($breaks === null || ! $breaks->setText($text)) {
            return $text === '' ? [] : [$text];
        }
        $words = [];
        foreach ($breaks->getPartsIterator() as $word) {
            if (is_string($word)) {
                $words[] = $word;
            }
        }

        return $words;
    }
}
