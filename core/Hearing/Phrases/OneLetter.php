<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

/**
 * Words that differ by one letter: another, one more, one less, or two changed places (an optimal string alignment
 * distance of at most 1). Two such words have something in common once a letter is left out of each.
 */
final class OneLetter
{
    /** @return list<string> the word, and what is left of it without each of its letters */
    public static function left(string $word): array
    {
        $letters = mb_str_split($word);
        $left = [$word => true];
        foreach (array_keys($letters) as $at) {
            $without = $letters;
            unset($without[$at]);
            $left[implode('', $without)] = true;
        }

        return array_map(strval(...), array_keys($left));
    }

    public static function isAll(string $one, string $other): bool
    {
        if ($one === $other) {
            return true;
        }
        [$a, $b] = [mb_str_split($one), mb_str_split($other)];
        if (count($a) > count($b)) {
            [$a, $b] = [$b, $a];
        }
        if (count($b) - count($a) > 1) {
            return false;
        }
        for ($same = 0; $same < count($a) && $a[$same] === $b[$same]; $same++);
        if (count($a) < count($b)) {
            return array_slice($a, $same) === array_slice($b, $same + 1);
        }

        return array_slice($a, $same + 1) === array_slice($b, $same + 1)
            || (isset($a[$same + 1])
                && $a[$same] === $b[$same + 1]
                && $a[$same + 1] === $b[$same]
                && array_slice($a, $same + 2) === array_slice($b, $same + 2));
    }
}
