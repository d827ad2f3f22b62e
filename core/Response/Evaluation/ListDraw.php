<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use Random\Randomizer;
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
 * Draws the next item of a list. How far it has been drawn is kept as {of: stamp of the items, last: place, left: places
 * still to come}; when the items were edited, the stamp differs and the drawing begins anew.
 */
final class ListDraw
{
    public static function from(TextList $list, Span $span, Run $run): string|Gap
    {
        if ($list->items === []) {
            return new Gap(GapReason::EmptyList, ['name' => $list->name]);
        }
        $weights = array_map(static fn (WeightedText $item): int => $item->weight, $list->items);
        if ($list->order === DrawOrder::Free) {
            return $list->items[Weighted::place($weights, $run->draw($span))]->text;
        }
        $key = Key::listPosition($list->name);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $kept = $run->memory()->value($key);
        $position = is_array($kept) && ($kept['of'] ?? '') === $list->stamp() ? $kept : [];
        $last = is_int($position['last'] ?? null) ? $position['last'] : null;
        $left = array_values(array_filter(is_array($position['left'] ?? null) ? $position['left'] : [], static fn (mixed $place): bool => is_int($place) && isset($weights[$place])));
        [$place, $left] = match ($list->order) {
            DrawOrder::InTurn => [$last === null ? 0 : ($last + 1) % count($weights), []],
            DrawOrder::NoRepeat => [Weighted::place(self::without($weights, $last), $run->draw($span)), []],
            DrawOrder::Shuffled => self::fromShuffled($left, $weights, $last, $run->draw($span)),
        };
        $run->change(new Change($key, $kept, ['of' => $list->stamp(), 'last' => $place, 'left' => $left], "list.{$list->name}", 'channel'));

        return $list->items[$place]->text;
    }

    /**
     * @param  list<int>  $left
     * @param  non-empty-array<int, int>  $weights
     * @return array{int, list<int>}
     */
    private static function fromShuffled(array $left, array $weights, ?int $last, Randomizer $luck): array
    {
        if ($left === []) {
            // The first of a new round is not the last of the old one, or it would come twice running.
            $first = Weighted::place(self::without($weights, $last), $luck);
            unset($weights[$first]);
            $left = [$first, ...Weighted::order($weights, $luck)];
        }

        return [$left[0], array_slice($left, 1)];
    }

    /**
     * @param  non-empty-array<int, int>  $weights
     * @return non-empty-array<int, int>
     */
    private static function without(array $weights, ?int $place): array
    {
        if ($place === null) {
            return $weights;
        }
        $others = $weights;
        unset($others[$place]);

        return $others === [] ? $weights : $others;
    }
}
