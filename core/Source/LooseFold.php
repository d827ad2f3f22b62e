<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/**
 * How triggers are compared where nothing is spelt exactly so: without case, in Latin and Greek letters without
 * accents, and with the marks that phones type for others (NFKC, and those that only look like them).
 */
final class LooseFold
{
    private const LOOKALIKES = [
        "\u{01C3}" => '!',
        "\u{00A1}" => '!',
        "\u{2755}" => '!',
        "\u{2757}" => '!',
        "\u{00BF}" => '?',
        "\u{2753}" => '?',
        "\u{2754}" => '?',
        "\u{2019}" => "'",
        "\u{2018}" => "'",
        "\u{FE0E}" => '',
        "\u{FE0F}" => '',
    ];

    public static function of(string $text): string
    {
        if (mb_check_encoding($text, 'ASCII')) {
            return strtolower($text);
        }
        $plain = \Normalizer::normalize(strtr($text, self::LOOKALIKES), \Normalizer::FORM_KC);

        return self::withoutAccents(Fold::caseless(is_string($plain) ? $plain : mb_scrub($text)));
    }

    /** Where other letters need their marks, they keep them. */
    public static function withoutAccents(string $folded): string
    {
        if (preg_match('/[\p{Latin}\p{Greek}]/u', $folded) !== 1) {
            return $folded;
        }
        $apart = \Normalizer::normalize($folded, \Normalizer::FORM_D);
        $without = preg_replace('/(?<=[\p{Latin}\p{Greek}])\p{Mn}++/u', '', is_string($apart) ? $apart : $folded);

        return Fold::normal($without ?? $folded);
    }
}
