<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use Random\Randomizer;
use SilverParrot\Chance\Shuffled;

/**
 * What draws from a list look things up in, made when it is first needed: once it is there, a draw costs the same from
 * ten items as from ten thousand.
 */
final class DrawTable
{
    /** @var array<string, int>|null places by id */
    private ?array $places = null;

    /** @var non-empty-list<int>|null the sum of the weights up to and with each place */
    private ?array $sums = null;

    /** The luck of the order below. */
    private string $round = '';

    /** @var list<string> ids, as they come in that round */
    private array $order = [];

    /** @var array<string, int> by id */
    private array $orderPlaces = [];

    /** @var array<string, float> by id: what the order goes by */
    private array $luck = [];

    /** @param  non-empty-list<WeightedText>  $items */
    public function __construct(private readonly array $items)
    {
    }

    public function placeOf(string $id): ?int
    {
        $this->places ??= array_flip(array_map(static fn (WeightedText $item): string => $item->id, $this->items));

        return $this->places[$id] ?? null;
    }

    /**
     * A place by weight.
     *
     * @param  int|null  $without  a place that is not drawn, unless it is the only one
     */
    public function byWeight(Randomizer $luck, ?int $without = null): int
    {
        $sums = $this->sums();
        $last = count($sums) - 1;
        if ($without !== null && $last > 0) {
            $weight = $sums[$without] - ($sums[$without - 1] ?? 0);
            $point = $luck->getInt(1, $sums[$last] - $weight);
            $point += $point > ($sums[$without - 1] ?? 0) ? $weight : 0;
        } else {
            $point = $luck->getInt(1, $sums[$last]);
        }
        for ($from = 0; $from < $last;) {
            $middle = intdiv($from + $last, 2);
            $sums[$middle] < $point ? $from = $middle + 1 : $last = $middle;
        }

        return $from;
    }

    /** @return string the id of the item that begins a round */
    public function firstOf(string $round): string
    {
        $this->shuffle($round);

        return $this->order[0];
    }

    /**
     * @param  float  $luck  of the item that came last, for where it was taken out of the list since
     * @return string|null the id of the item that comes next in a round; null at its end
     */
    public function after(string $round, string $last, float $luck): ?string
    {
        $this->shuffle($round);
        if (isset($this->orderPlaces[$last])) {
            return $this->order[$this->orderPlaces[$last] + 1] ?? null;
        }
        for ([$from, $to] = [0, count($this->order)]; $from < $to;) {
            $middle = intdiv($from + $to, 2);
            $this->luck[$this->order[$middle]] <= $luck ? $from = $middle + 1 : $to = $middle;
        }

        return $this->order[$from] ?? null;
    }

    /** @return int how many items follow in a round, told as after() is */
    public function left(string $round, string $last, float $luck): int
    {
        $next = $this->after($round, $last, $luck);

        return $next === null ? 0 : count($this->order) - $this->orderPlaces[$next];
    }

    /** What an item's place in a round goes by, so that it is known even when the item is gone. */
    public function luckOf(string $round, string $id): float
    {
        $this->shuffle($round);

        return $this->luck[$id] ?? INF;
    }

    private function shuffle(string $round): void
    {
        if ($this->order !== [] && $this->round === $round) {
            return;
        }
        $weights = [];
        foreach ($this->items as $item) {
            $weights[$item->id] = $item->weight;
        }
        $luck = Shuffled::places($weights, $round);
        asort($luck);
        $this->round = $round;
        $this->order = array_map(strval(...), array_keys($luck));
        $this->luck = array_combine($this->order, $luck);
        $this->orderPlaces = array_flip($this->order);
    }

    /** @return non-empty-list<int> */
    private function sums(): array
    {
        if ($this->sums !== null) {
            return $this->sums;
        }
        $sums = [];
        $sum = 0;
        foreach ($this->items as $item) {
            $sums[] = $sum += $item->weight;
        }

        return $this->sums = $sums;
    }
}
