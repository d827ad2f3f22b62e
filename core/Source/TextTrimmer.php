<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/**
 * Taking characters off the ends of a text, each looked at once: a regular expression for an end is tried at every
 * place.
 */
final class TextTrimmer
{
    private const SPACE = '/^[\s\p{Z}]$/Du';

    /**
     * What chat programs put behind a repeated line; signs that choose how the letter before them looks belong to it.
     */
    private const UNSEEN = '/^[\s\p{Z}\p{Cc}\p{Cf}\x{115F}\x{1160}\x{2065}\x{2800}\x{3164}\x{FFA0}'
        .'\x{FFF0}-\x{FFF8}\x{FFFC}\x{E0000}-\x{E0FFF}]$/Du';

    /** All punctuation but the connecting kind: "_" is part of names. */
    private const PUNCTUATION = '/^[\p{Pd}\p{Ps}\p{Pe}\p{Pi}\p{Pf}\p{Po}\p{Cf}]$/Du';

    public static function withoutSpace(string $text): string
    {
        return mb_check_encoding($text, 'ASCII') ? trim($text) : self::without(self::SPACE, $text, true);
    }

    public static function withoutSpaceBehind(string $text): string
    {
        return mb_check_encoding($text, 'ASCII') ? rtrim($text) : self::without(self::SPACE, $text, false);
    }

    public static function withoutUnseen(string $text): string
    {
        return mb_check_encoding($text, 'ASCII') ? trim($text) : self::without(self::UNSEEN, $text, true);
    }

    public static function withoutPunctuation(string $text): string
    {
        return self::without(self::PUNCTUATION, $text, false);
    }

    private static function without(string $pattern, string $text, bool $atBothEnds): string
    {
        $characters = mb_str_split($text);
        $from = 0;
        $to = count($characters);
        while ($to > $from && preg_match($pattern, $characters[$to - 1]) === 1) {
            $to--;
        }
        while ($atBothEnds && $from < $to && preg_match($pattern, $characters[$from]) === 1) {
            $from++;
        }

        return implode('', array_slice($characters, $from, $to - $from));
    }
}
