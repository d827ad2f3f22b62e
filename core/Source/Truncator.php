<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** Shortening a text where people would: never inside what is seen as one character, an address or a name. */
final class Truncator
{
    private const MARK = '…';

    /** A word longer than this is no word to keep whole, but text in a script without spaces. */
    private const LONGEST_WORD = 60;

    /** At most so many graphemes (UAX #29), the mark included. */
    public static function toGraphemes(string $text, int $most): string
    {
        // Bytes are never fewer than graphemes.
        if (strlen($text) <= $most || grapheme_strlen($text) <= $most) {
            return $text;
        }

        return rtrim((string) grapheme_substr($text, 0, $most - 1)).self::MARK;
    }

    /**
     * @param  int|null  $characters  code points that there is room for
     * @param  int|null  $bytes  bytes that there is room for
     * @return string empty where not even the first word fits and it may not be cut
     */
    public static function toFit(string $text, ?int $characters, ?int $bytes): string
    {
        if (self::fits($text, $characters, $bytes)) {
            return $text;
        }
        $end = self::lastBoundary(
            $text,
            $characters === null ? null : $characters - 1,
            $bytes === null ? null : $bytes - strlen(self::MARK),
        );
        $end = self::beforeWord($text, $end);
        $kept = TextTrimmer::withoutSpaceBehind(substr($text, 0, $end));

        return $kept === '' ? '' : $kept.self::MARK;
    }

    public static function fits(string $text, ?int $characters, ?int $bytes): bool
    {
        return ($bytes === null || strlen($text) <= $bytes)
            && ($characters === null || strlen($text) <= $characters || mb_strlen($text) <= $characters);
    }

    /** @return int the byte after the last grapheme that there is room for */
    private static function lastBoundary(string $text, ?int $characters, ?int $bytes): int
    {
        $end = 0;
        $used = 0;
        $next = 0;
        while ($end < strlen($text)) {
            $grapheme = grapheme_extract($text, 1, GRAPHEME_EXTR_COUNT, $end, $next);
            $used += mb_strlen((string) $grapheme);
            if (
                ! is_int($next)
                || ($bytes !== null && $next > $bytes)
                || ($characters !== null && $used > $characters)
            ) {
                break;
            }
            $end = $next;
        }

        return $end;
    }

    /** @return int the cut, moved before the word that it would divide, unless that is text without spaces */
    private static function beforeWord(string $text, int $cut): int
    {
        if ($cut >= strlen($text) || self::isSpace($text, $cut)) {
            return $cut;
        }
        $from = $cut;
        while ($from > 0 && ! self::isSpace($text, $from - 1)) {
            $from--;
        }
        $to = $cut + strcspn($text, " \t\r\n", $cut);
        $word = substr($text, $from, $to - $from);
        $mayNotBeCut =
            str_contains($word, '://') || str_starts_with(strtolower($word), 'www.') || str_starts_with($word, '@');

        return $mayNotBeCut || mb_strlen($word) <= self::LONGEST_WORD ? $from : $cut;
    }

    private static function isSpace(string $text, int $byte): bool
    {
        return str_contains(" \t\r\n", $text[$byte]);
    }
}
