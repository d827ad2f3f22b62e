<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use SilverParrot\Figures\Evening;

/** The first of a picture while its evening is still heard: how much was written and said, as far as it came. */
final class EveningSketch
{
    public const HEIGHT = 60;

    /**
     * Heights of what people and the parrot wrote, piece by piece.
     *
     * @param  int|null  $length  of the whole evening in milliseconds; null where nobody knows
     * @return list<array{float, float, float, float}> where it begins and how wide it is, the people's and the parrot's
     */
    public static function of(Evening $evening, ?int $length): array
    {
        $whole = max(1, intdiv(max($length ?? 0, $evening->length), Evening::PIECE) + 1);
        $wide = max(1, (int) ceil($whole / EveningPicture::PIECES));
        $sums = [];
        foreach ($evening->pieces as $piece => [$lines, $said]) {
            $column = intdiv($piece, $wide);
            $sums[$column] = [($sums[$column][0] ?? 0) + $lines, ($sums[$column][1] ?? 0) + $said];
        }
        $most = max(1, ...array_map(array_sum(...), array_values($sums)));
        $columns = [];
        foreach ($sums as $column => [$lines, $said]) {
            $columns[] = [
                round($column * $wide / $whole * EveningPicture::WIDTH, 1),
                round(max(0.6, $wide / $whole * EveningPicture::WIDTH - 0.4), 1),
                round($lines / $most * self::HEIGHT, 1),
                round($said / $most * self::HEIGHT, 1),
            ];
        }

        return $columns;
    }
}
