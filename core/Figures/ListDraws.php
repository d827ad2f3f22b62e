<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Chance\Draws;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\TextList;

/** What came up of one list in an evening, beside what was to be expected. */
final readonly class ListDraws
{
    /**
     * @param  list<array{string, int, float}>  $items  text, how often it came, how often that was to be expected
     * @param  float|null  $chance  that luck alone comes so far from it; null where that says nothing: too few draws,
     *     or an order that is not free
     */
    private function __construct(public string $name, public int $total, public array $items, public ?float $chance)
    {
    }

    /** @param  array<string, int>  $came  by item */
    public static function of(TextList $list, array $came): self
    {
        $weights = array_sum(array_map(static fn ($item): int => $item->weight, $list->items)) ?: 1;
        $shares = array_map(static fn ($item): float => $item->weight / $weights, $list->items);
        $draws = new Draws($shares, array_map(static fn ($item): int => $came[$item->id] ?? 0, $list->items));
        $items = [];
        foreach ($list->items as $place => $item) {
            $items[] = [$item->text, $draws->came[$place], $shares[$place] * $draws->total()];
        }
        $least = $shares === [] ? 0.0 : min($shares) * $draws->total();

        return new self(
            $list->name,
            $draws->total(),
            $items,
            $list->order === DrawOrder::Free && count($items) > 1 && $least >= Draws::LEAST_EXPECTED
                ? ChiSquare::tail($draws->chiSquare(), count($items) - 1)
                : null,
        );
    }
}
