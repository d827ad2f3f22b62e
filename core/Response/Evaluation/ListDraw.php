<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use Random\Randomizer;
use SilverParrot\Chance\Shuffled;
use SilverParrot\Chance\Weighted;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/**
 * Draws the next item of a list. Kept is which item came last, by its text, so that an edited list goes on where it was:
 * {last: item, place: where it stood} in turn, and in a shuffled list {last: item, round: luck, at: its place in the order}.
 */
final class ListDraw
{
    /** Orders that are tried for one that does not begin with the item that came last. */
    private const TRIES = 20;

    public static function from(TextList $list, Span $span, Run $run): string|Gap
    {
        if ($list->items === []) {
            return new Gap(GapReason::EmptyList, ['name' => $list->name]);
        }
        $weights = array_map(static fn (WeightedText $item): int => $item->weight, $list->items);
        if ($list->order === DrawOrder::Free) {
            return $list->items[Weighted::place($weights, $run->draw($span))]->text;
        }
        $key = Key::listPosition($list->id);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $kept = $run->memory()->value($key);
        $position = is_array($kept) ? $kept : [];
        $items = $list->ids();
        $last = is_string($position['last'] ?? null) ? $position['last'] : '';
        [$place, $more] = match ($list->order) {
            DrawOrder::InTurn => self::inTurn($items, $last, is_int($position['place'] ?? null) ? $position['place'] : -1),
            DrawOrder::NoRepeat => [Weighted::place(self::without($weights, array_search($last, $items, true)), $run->draw($span)), []],
            DrawOrder::Shuffled => self::fromShuffled(array_combine($items, $weights), $last, $position, $run->draw($span)),
        };
        $run->change(new Change($key, $kept, ['last' => $items[$place]] + $more, "list.{$list->name}", 'channel'));

        return $list->items[$place]->text;
    }

    /**
     * @param  list<string>  $items
     * @param  int  $place  where the last one stood; -1 for nowhere yet
     * @return array{int, array{place: int}}
     */
    private static function inTurn(array $items, string $last, int $place): array
    {
        $found = array_search($last, $items, true);
        // Where the last one was taken out, what followed it stands in its place now.
        $next = ($found === false ? max(0, $place) : $found + 1) % count($items);

        return [$next, ['place' => $next]];
    }

    /**
     * @param  array<string, int>  $weights  by item
     * @param  array<string, mixed>  $position
     * @return array{int, array{round: string, at: string}}
     */
    private static function fromShuffled(array $weights, string $last, array $position, Randomizer $luck): array
    {
        $round = is_string($position['round'] ?? null) ? $position['round'] : '';
        $at = is_string($position['at'] ?? null) && is_numeric($position['at']) ? (float) $position['at'] : INF;
        $next = $round === '' ? null : self::first(Shuffled::places($weights, $round), $at);
        for ($tries = 0; $next === null || ($tries > 0 && $next === $last && count($weights) > 1 && $tries < self::TRIES); $tries++) {
            // The first of a new round is not the last of the old one, or it would come twice running.
            $round = bin2hex($luck->getBytes(8));
            $next = self::first(Shuffled::places($weights, $round), -1.0);
        }
        $places = Shuffled::places($weights, $round);

        return [(int) array_search($next, array_keys($weights), true), ['round' => $round, 'at' => sprintf('%.17g', $places[$next])]];
    }

    /**
     * @param  array<array-key, float>  $places
     * @return string|null what comes first behind a place; null where nothing does
     */
    private static function first(array $places, float $behind): ?string
    {
        $first = null;
        foreach ($places as $item => $place) {
            if ($place > $behind && ($first === null || $place < $places[$first])) {
                $first = $item;
            }
        }

        return $first === null ? null : (string) $first;
    }

    /**
     * @param  non-empty-array<int, int>  $weights
     * @return non-empty-array<int, int>
     */
    private static function without(array $weights, int|false $place): array
    {
        $others = $weights;
        unset($others[$place]);

        return $others === [] ? $weights : $others;
    }
}
