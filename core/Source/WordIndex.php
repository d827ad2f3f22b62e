<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** The words by which a text is found: folded, each once, divided as UAX #29 does, without signs and spaces. */
final class WordIndex
{
    /** Characters of a word that count; what is longer is found by its beginning. */
    public const LONGEST = 60;

    /** The division that holds for all languages without one of their own. */
    private const LANGUAGE = 'root';

    /** @return list<string> */
    public static function of(string $text): array
    {
        $words = [];
        foreach (Words::of(Fold::caseless($text), self::LANGUAGE) as $word) {
            if (preg_match('/[\p{L}\p{N}\p{So}]/u', $word) === 1) {
                $word = mb_substr($word, 0, self::LONGEST);
                // A number alone would become a number as a key.
                $words["w$word"] = $word;
            }
        }

        return array_values($words);
    }
}
