<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Limits;

/** {"text": "…", "weight": 2}; a weight of 1 is left out, and an id that is made of the text. */
final class WeightedTextFormat
{
    public const HEAVIEST = 1_000;

    public static function read(Document $item): WeightedText
    {
        $item->object(['id', 'text', 'weight', 'off'], ['text']);

        return new WeightedText(
            $item->at('text')->text(Limits::SOURCE),
            $item->has('weight') ? $item->at('weight')->whole(1, self::HEAVIEST) : 1,
            $item->has('id') ? $item->at('id')->id() : '',
            ! $item->has('off') || ! $item->at('off')->flag(),
        );
    }

    /**
     * @param  string  $byText  the id that it would have without one
     * @return array<string, mixed>
     */
    public static function write(WeightedText $item, string $byText): array
    {
        return ($item->id === $byText ? [] : ['id' => $item->id]) + ['text' => $item->text]
            + ($item->weight === 1 ? [] : ['weight' => $item->weight])
            + ($item->isOn ? [] : ['off' => true]);
    }
}
