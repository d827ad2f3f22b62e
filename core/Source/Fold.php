<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/**
 * How texts are compared without case: NFC and full case folding, by no language's rules (UAX #15, CaseFolding.txt).
 */
final class Fold
{
    public static function caseless(string $text): string
    {
        if (mb_check_encoding($text, 'ASCII')) {
            return strtolower($text);
        }
        $folded = mb_convert_case(self::normal($text), MB_CASE_FOLD, 'UTF-8');

        return self::normal($folded);
    }

    public static function normal(string $text): string
    {
        $normal = \Normalizer::normalize($text, \Normalizer::FORM_C);

        return is_string($normal) ? $normal : mb_scrub($text, 'UTF-8');
    }

    public static function isBlank(string $text): bool
    {
        // A letter, digit or sign at the beginning settles most texts.
        if ($text !== '' && $text[0] > ' ' && $text[0] < "\x7F") {
            return false;
        }

        return Unseen::isAll($text);
    }
}
