<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** Which words of a text went and which came: a longest common subsequence over words and the gaps between them. */
final class WordDiff
{
    public const SAME = 'same';

    public const GONE = 'gone';

    public const NEW = 'new';

    /** Words on both sides together; beyond it everything went and everything came, since the cost is their product. */
    private const MOST = 1_200;

    /** @return list<array{string, string}> what became of a part, and the part */
    public static function between(string $before, string $after): array
    {
        [$old, $new] = [self::words($before), self::words($after)];
        if (count($old) + count($new) > self::MOST) {
            return array_values(
                array_filter(
                    [[self::GONE, $before], [self::NEW, $after]],
                    static fn (array $part): bool => $part[1] !== '',
                ),
            );
        }
        $common = self::common($old, $new);
        $parts = [];
        for ($i = $j = 0; $i < count($old) || $j < count($new);) {
            if ($i < count($old) && $j < count($new) && $old[$i] === $new[$j]) {
                self::add($parts, self::SAME, $old[$i++]);
                $j++;
            } elseif ($i < count($old) && ($j === count($new) || $common[$i + 1][$j] >= $common[$i][$j + 1])) {
                self::add($parts, self::GONE, $old[$i++]);
            } else {
                self::add($parts, self::NEW, $new[$j++]);
            }
        }

        return $parts;
    }

    /**
     * @return list<string> each with the space before it, so that spaces alone match nothing; slots stay whole, since
     *     half a slot says nothing
     */
    private static function words(string $text): array
    {
        return preg_match_all('/\s*+(?:\[[^\[\]]*+\]|[\p{L}\p{N}_]++|\S)|\s++/u', $text, $found) === false
            ? [$text]
            : $found[0];
    }

    /**
     * @param  list<string>  $old
     * @param  list<string>  $new
     * @return array<int, array<int, int>> the longest common subsequence of what is left, by both positions
     */
    private static function common(array $old, array $new): array
    {
        $common = array_fill(0, count($old) + 1, array_fill(0, count($new) + 1, 0));
        for ($i = count($old) - 1; $i >= 0; $i--) {
            for ($j = count($new) - 1; $j >= 0; $j--) {
                $common[$i][$j] =
                    $old[$i] === $new[$j] ? $common[$i + 1][$j + 1] + 1 : max($common[$i + 1][$j], $common[$i][$j + 1]);
            }
        }

        return $common;
    }

    /** @param  list<array{string, string}>  $parts */
    private static function add(array &$parts, string $kind, string $text): void
    {
        $last = array_key_last($parts);
        if ($last !== null && $parts[$last][0] === $kind) {
            $parts[$last][1] .= $text;
        } else {
            $parts[] = [$kind, $text];
        }
    }
}
