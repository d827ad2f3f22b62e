<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use SilverParrot\Figures\Evening;
use SilverParrot\Figures\Lane;

/** What the picture of an evening is drawn from besides its marks, and where each thing stands in it. */
final class EveningPicture
{
    /** Of the drawing, in its own units. */
    public const WIDTH = 1_200;

    public const LEFT = 190;

    public const LANE = 22;

    public const CHAT = 90;

    /** Pieces of the time that is looked at. */
    public const PIECES = 200;

    /** Lanes that are drawn; those below are in the table. */
    public const LANES = 60;

    /** What is kept beside the figures. */
    private const BESIDES = ['length', 'pieces', 'lanes', 'steps', 'gained', 'replay', 'advice'];

    /** Steps of a number that are kept. */
    private const STEPS = 400;

    /** @return array<string, mixed> kept with the figures */
    public static function of(Evening $evening): array
    {
        $pieces = [];
        foreach ($evening->pieces as $piece => [$lines, $said]) {
            $pieces[] = [$piece, $lines, $said];
        }

        return [
            'length' => max(1, $evening->length),
            'pieces' => $pieces,
            'lanes' => array_values(array_map(static fn (Lane $lane): array => [
                'kind' => $lane->kind->value,
                'name' => $lane->name,
                'command' => $lane->command,
                'cooldown' => $lane->cooldown,
                'asked' => $lane->asked,
            ], $evening->lanes)),
            'steps' => array_map(
                static fn (array $steps): array => self::thinned($steps),
                array_slice($evening->steps, 0, 12),
            ),
            'gained' => array_map(static function (array $gained): array {
                arsort($gained);

                return array_slice($gained, 0, 3, true) + array_slice($gained, -3, null, true);
            }, $evening->gained),
        ];
    }

    /**
     * @param  array<string, mixed>  $result  as it is kept
     * @return array<string, mixed> the figures alone
     */
    public static function without(array $result): array
    {
        return array_diff_key($result, array_flip(self::BESIDES));
    }

    /**
     * @param  list<array{int, int}>  $steps
     * @return list<array{int, int}>
     */
    private static function thinned(array $steps): array
    {
        $every = max(1, intdiv(count($steps), self::STEPS));

        return array_values(array_filter(
            $steps,
            static fn (int $place): bool => $place % $every === 0 || $place === count($steps) - 1,
            ARRAY_FILTER_USE_KEY,
        ));
    }
}
