<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Format;

use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Limits;

/** {"text": "…", "weight": 2}; a weight of 1 is left out. */
final class WeightedTextFormat
{
    public const HEAVIEST = 1_000;

    public static function read(Document $item): WeightedText
    {
        $item->object(['text', 'weight'], ['text']);

        return new WeightedText($item->at('text')->text(Limits::SOURCE), $item->has('weight') ? $item->at('weight')->whole(1, self::HEAVIEST) : 1);
    }

    /** @return array<string, mixed> */
    public static function write(WeightedText $item): array
    {
        return ['text' => $item->text] + ($item->weight === 1 ? [] : ['weight' => $item->weight]);
    }
}
