<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

use SilverParrot\Source\Fold;
use SilverParrot\Source\LooseFold;
use SilverParrot\Source\Words;

/**
 * The words of a line, as phrases are looked for in it: divided as Unicode divides words (UAX #29, by no language's
 * habits), without case and signs, and in Latin and Greek letters without accents. Emotes stand as they are.
 */
final class LineWords
{
    /** Emotes that are looked for one by one: of more, the words of the line are looked up. */
    private const FEW = 12;

    /** Before the word of an emote, which no other word begins with. */
    private const EMOTE = "\x1F";

    /**
     * What UAX #29 makes of ASCII: letters, digits and low lines, with a full stop or an apostrophe between letters,
     * and some signs between digits.
     */
    private const ASCII = '/\w+(?:(?:(?<=[A-Za-z])[.\'](?=[A-Za-z])|(?<=[0-9])[.,;\'](?=[0-9]))\w+)*/';

    /**
     * @param  array<string, true>  $emotes  by their words
     * @return list<string>
     */
    public static function of(string $line, array $emotes = []): array
    {
        if (mb_check_encoding($line, 'ASCII') && ! self::hasEmote($line, $emotes)) {
            return self::ascii($line);
        }
        $words = [];
        $text = '';
        foreach (preg_split('/[\s\p{Z}]++/u', $line, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            if (isset($emotes[$part])) {
                array_push($words, ...self::plain($text));
                $words[] = self::EMOTE.$part;
                $text = '';
            } else {
                $text .= " $part";
            }
        }

        return [...$words, ...self::plain($text)];
    }

    /**
     * @param  string  $line  in ASCII
     * @param  array<string, true>  $emotes
     */
    private static function hasEmote(string $line, array $emotes): bool
    {
        foreach (count($emotes) > self::FEW ? [] : $emotes as $word => $ignored) {
            if (str_contains($line, (string) $word)) {
                return true;
            }
        }

        return count($emotes) > self::FEW
            && array_intersect_key($emotes, array_flip(preg_split('/\s++/', $line) ?: [])) !== [];
    }

    /** @return list<string> */
    private static function plain(string $text): array
    {
        if ($text === '' || mb_check_encoding($text, 'ASCII')) {
            return self::ascii($text);
        }
        $words = [];
        foreach (Words::of(Fold::caseless($text), 'root') as $word) {
            $word = self::letters($word);
            if ($word !== '') {
                $words[] = $word;
            }
        }

        return $words;
    }

    /** @return list<string> */
    private static function ascii(string $text): array
    {
        preg_match_all(self::ASCII, strtolower($text), $found);
        if (strpbrk($text, ".',;_") === false) {
            return $found[0];
        }
        $words = array_map(static fn (string $word): string => strtr($word, self::SIGNS), $found[0]);

        return array_values(array_filter($words, static fn (string $word): bool => $word !== ''));
    }

    private const SIGNS = ['.' => '', "'" => '', ',' => '', ';' => '', '_' => ''];

    /** What is left of a folded word: letters, digits and pictures; accents only where the letters need them. */
    private static function letters(string $word): string
    {
        $bare = preg_replace('/[^\p{L}\p{M}\p{N}\p{So}]++/u', '', $word) ?? '';

        return $bare === '' ? '' : LooseFold::withoutAccents($bare);
    }
}
