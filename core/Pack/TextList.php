<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** A named collection of texts to draw from. */
final readonly class TextList
{
    /** @param  list<WeightedText>  $items */
    public function __construct(public string $name, public array $items, public DrawOrder $order = DrawOrder::Free)
    {
    }

    /** @return list<string> what tells the items apart, in their order: an edit of one leaves the others what they were */
    public function keys(): array
    {
        $keys = [];
        $times = [];
        foreach ($this->items as $item) {
            // Never digits alone, which PHP would make a number of.
            $key = 'i'.hash('xxh64', $item->text);
            $times[$key] = ($times[$key] ?? 0) + 1;
            $keys[] = $times[$key] === 1 ? $key : "$key-{$times[$key]}";
        }

        return $keys;
    }
}
