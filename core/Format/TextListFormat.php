<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\TextList;

/** {"name": "jokes", "order": "shuffled", "items": ["…", {"text": "…", "weight": 3}]} */
final class TextListFormat
{
    public static function read(Document $list): TextList
    {
        $list->object(['id', 'name', 'order', 'each_viewer', 'responses', 'from_chat', 'items'], ['name', 'items']);

        return new TextList(
            $list->at('name')->name(),
            array_map(WeightedTextFormat::read(...), $list->at('items')->items(PackFormat::ITEMS)),
            $list->has('order') ? $list->at('order')->oneOf(DrawOrder::class) : DrawOrder::Free,
            DefinitionName::id($list),
            $list->has('each_viewer') && $list->at('each_viewer')->flag(),
            $list->has('responses') && $list->at('responses')->flag(),
            $list->has('from_chat') && $list->at('from_chat')->flag(),
        );
    }

    /** @return array<string, mixed> */
    public static function write(TextList $list): array
    {
        return DefinitionName::written($list)
            + ($list->order === DrawOrder::Free ? [] : ['order' => $list->order->value])
            + ($list->isForEachViewer ? ['each_viewer' => true] : [])
            + ($list->isResponses ? ['responses' => true] : [])
            + ($list->isFromChat ? ['from_chat' => true] : []) + [
                'items' => array_map(WeightedTextFormat::write(...), $list->all, TextList::idsByText($list->all)),
            ];
    }
}
