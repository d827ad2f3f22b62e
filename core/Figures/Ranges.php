<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

/** Figures of several evenings as ranges: the least, the middle and the most of each number. */
final class Ranges
{
    /**
     * @param  non-empty-list<array<string, mixed>>  $runs  as EveningReport has them
     * @return array<string, array{least: float|int, middle: float|int, most: float|int}> by the number's name; those of
     *     a command as "!tide answered"
     */
    public static function of(array $runs): array
    {
        $numbers = [];
        foreach ($runs as $place => $run) {
            foreach (['lines', 'said', 'failed', 'share'] as $name) {
                $numbers[$name][$place] = $run[$name] ?? 0;
            }
            foreach ((array) ($run['closed'] ?? []) as $gate => $count) {
                $numbers["closed by $gate"][$place] = $count;
            }
            foreach (is_array($run['commands'] ?? null) ? $run['commands'] : [] as $lane) {
                $of = is_array($lane) && is_string($lane['name'] ?? null) ? $lane['name'] : null;
                if (is_array($lane) && $of !== null) {
                    $numbers["$of asked"][$place] = $lane['asked'] ?? 0;
                    $numbers["$of answered"][$place] = $lane['answered'] ?? 0;
                }
            }
        }
        $ranges = [];
        foreach ($numbers as $name => $of) {
            // What an evening has not is none of it.
            $all = array_map(static fn (mixed $one): float|int => is_int($one) || is_float($one) ? $one : 0, [
                ...$of,
                ...array_fill(0, count($runs) - count($of), 0),
            ]);
            sort($all);
            $ranges[$name] = [
                'least' => $all[0],
                'middle' => $all[intdiv(count($all), 2)],
                'most' => $all[count($all) - 1],
            ];
        }

        return $ranges;
    }
}
