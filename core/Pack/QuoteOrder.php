<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use Closure;
use SilverParrot\Chance\Shuffled;

/**
 * Quotes in a shuffled order, each once. Kept is {round: luck of the order, at: how far it is, last: number}: quotes
 * that are kept or deleted meanwhile leave all others in their places.
 */
final class QuoteOrder
{
    /** Orders that are tried for one that does not begin with the quote that came last. */
    private const TRIES = 20;

    /**
     * @param  non-empty-list<int>  $numbers  of all quotes
     * @param  array<string, mixed>  $kept
     * @param  Closure(): string  $round  the luck of a new order; asked once
     * @return array{round: string, at: string, last: int}
     */
    public static function next(array $numbers, array $kept, Closure $round): array
    {
        $order = is_string($kept['round'] ?? null) ? $kept['round'] : '';
        $at = is_string($kept['at'] ?? null) && is_numeric($kept['at']) ? (float) $kept['at'] : INF;
        $last = is_int($kept['last'] ?? null) ? $kept['last'] : 0;
        $weights = array_fill_keys($numbers, 1);
        $left = $order === ''
            ? []
            : array_filter(Shuffled::places($weights, $order), static fn (float $place): bool => $place > $at);
        if ($left === []) {
            $luck = $round();
            for ($try = 0; $try < self::TRIES; $try++) {
                $order = $luck.dechex($try);
                $left = Shuffled::places($weights, $order);
                asort($left);
                // The first of a new round is not the last of the old one, or it would come twice running.
                if (array_key_first($left) !== $last) {
                    break;
                }
            }
        }
        asort($left);
        $next = (int) array_key_first($left);

        return ['round' => $order, 'at' => sprintf('%.17g', $left[$next]), 'last' => $next];
    }
}
