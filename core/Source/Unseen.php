<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/**
 * The one table of characters that cannot be seen, and of those that may stand unnoticed before a sign.
 *
 * Source: Unicode 15, DerivedCoreProperties.txt (Default_Ignorable_Code_Point) and the general categories; U+2800, a
 * blank pattern, and U+FFFC, which stands for what is not there, are ours.
 */
final class Unseen
{
    private const SHOWS_NOTHING = '/^[\s\p{Z}\p{Cc}\p{Cf}\x{034F}\x{115F}\x{1160}\x{17B4}\x{17B5}'
        .'\x{180B}-\x{180F}\x{2065}\x{2800}\x{3164}\x{FE00}-\x{FE0F}\x{FFA0}'
        .'\x{FFF0}-\x{FFF8}\x{FFFC}\x{E0000}-\x{E0FFF}]*+$/Du';

    /**
     * Besides these: what is unassigned or private, which a chat may leave out, and marks that have nothing to stand
     * on.
     */
    private const MAY_STAND_BEFORE = '/^[\s\p{Z}\p{C}\p{M}\x{115F}\x{1160}\x{2800}\x{3164}\x{FFA0}\x{FFFC}]$/Du';

    /** Turns the direction of all that follows, until somebody turns it back. The marks of direction turn nothing. */
    private const TURNS = '/[\x{202A}-\x{202E}\x{2066}-\x{2069}]/u';

    /** Of an empty text too. */
    public static function isAll(string $text): bool
    {
        return preg_match(self::SHOWS_NOTHING, $text) === 1;
    }

    public static function mayStandBefore(string $character): bool
    {
        return preg_match(self::MAY_STAND_BEFORE, $character) === 1;
    }

    public static function withoutTurns(string $text): string
    {
        // All of them begin so; nearly no text holds one.
        return str_contains($text, "\xE2\x80") || str_contains($text, "\xE2\x81")
            ? preg_replace(self::TURNS, '', $text) ?? ''
            : $text;
    }
}
