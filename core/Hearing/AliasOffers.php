<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Pack\Triggers;
use SilverParrot\Source\LooseFold;

/**
 * What people type for a trigger as well (common practice): one or many of it, the first letters of a long one, and
 * the slips that are made most, a letter left out or doubled and two that changed places. None that the command has
 * already.
 */
final class AliasOffers
{
    /** Offered at a time. */
    private const MOST = 5;

    /** Letters from which on a word is long enough to be shortened, and to be mistyped. */
    private const LONG = 5;

    /** @return list<string> the likeliest first; some may be other commands’ */
    public static function of(Triggers $triggers): array
    {
        if ($triggers->isNameOnly || preg_match('/^([^\p{L}\p{N}]+)(\p{L}{3,})$/u', $triggers->word, $parts) !== 1) {
            return [];
        }
        [, $mark, $word] = $parts;
        $offers = [mb_substr($word, -1) === 's' ? mb_substr($word, 0, -1) : "{$word}s"];
        if (mb_strlen($word) >= self::LONG) {
            $offers = [...$offers, mb_substr($word, 0, 3), ...self::slips($word)];
        }
        $taken = array_fill_keys(array_map(LooseFold::of(...), $triggers->all()), true);
        $free = [];
        foreach ($offers as $offer) {
            $loose = LooseFold::of($mark.$offer);
            if (! isset($taken[$loose])) {
                $free[] = $mark.$offer;
                $taken[$loose] = true;
            }
        }

        return array_slice($free, 0, self::MOST);
    }

    /** @return list<string> the last two letters the other way round, a doubled one single, a single one doubled */
    private static function slips(string $word): array
    {
        $letters = mb_str_split($word);
        $last = count($letters) - 1;
        $swapped = $letters;
        [$swapped[$last - 1], $swapped[$last]] = [$letters[$last], $letters[$last - 1]];
        $slips = [implode('', $swapped)];
        $single = preg_replace('/(\p{L})\1/u', '$1', $word, 1) ?? $word;
        $slips[] = $single !== $word
            ? $single
            : implode('', array_slice($letters, 0, $last)).$letters[$last].$letters[$last];

        return array_values(array_filter($slips, static fn (string $slip): bool => $slip !== $word));
    }
}
