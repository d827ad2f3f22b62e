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

    /** Changes when the items do: a remembered position in another list of items means nothing. */
    public function stamp(): string
    {
        return hash('xxh64', json_encode($this->items, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }
}
