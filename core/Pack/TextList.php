<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named collection of texts to draw from. */
final readonly class TextList
{
    /** What its position is kept under; a new name does not change it. */
    public string $id;

    /** @var list<WeightedText> those that are drawn, each with an id of its own */
    public array $items;

    /** @var list<WeightedText> those that are switched off among them */
    public array $all;

    /** Null where there is nothing to draw. */
    public ?DrawTable $draws;

    /**
     * @param  list<WeightedText>  $items  those without an id are told apart by their texts, as all were before they
     *     had any
     * @param  bool  $isForEachViewer  whether each viewer has a position of their own
     * @param  bool  $isFromChat  whether people may add items in the chat
     * @param  bool  $isResponses  whether the slots of its items are filled in when they are said
     */
    public function __construct(
        public string $name,
        array $items,
        public DrawOrder $order = DrawOrder::Free,
        string $id = '',
        public bool $isForEachViewer = false,
        public bool $isResponses = false,
        public bool $isFromChat = false,
    ) {
        $this->id = $id === '' ? $name : $id;
        $ids = self::idsByText($items);
        $taken = [];
        foreach ($items as $place => $item) {
            $own = $item->id === '' ? $ids[$place] : $item->id;
            for ($unique = $own, $times = 2; isset($taken[$unique]); $times++) {
                $unique = "$own-$times";
            }
            $taken[$unique] = true;
            $items[$place] = $item->id === $unique
                ? $item
                : new WeightedText($item->text, $item->weight, $unique, $item->isOn, $item->isPlain);
        }
        $this->all = $items;
        $this->items = array_values(array_filter($items, static fn (WeightedText $item): bool => $item->isOn));
        $this->draws = $this->items === [] ? null : new DrawTable($this->items);
    }

    /** @param  list<WeightedText>  $more */
    public function with(array $more): self
    {
        return $more === [] ? $this : new self(
            $this->name,
            [...$this->all, ...$more],
            $this->order,
            $this->id,
            $this->isForEachViewer,
            $this->isResponses,
            $this->isFromChat,
        );
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(static fn (WeightedText $item): string => $item->id, $this->items);
    }

    /**
     * @param  list<WeightedText>  $items
     * @return list<string> the ids that they have where they are given none
     */
    public static function idsByText(array $items): array
    {
        $ids = [];
        $times = [];
        foreach ($items as $item) {
            // Never digits alone, which PHP would make a number of.
            $id = 'i'.hash('xxh64', $item->text);
            $times[$id] = ($times[$id] ?? 0) + 1;
            $ids[] = $times[$id] === 1 ? $id : "$id-{$times[$id]}";
        }

        return $ids;
    }
}
