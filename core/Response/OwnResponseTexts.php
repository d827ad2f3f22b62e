<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;

/** The texts of a pack that are responses without being a command's: facts and list items that their author made so. */
final class OwnResponseTexts
{
    /**
     * @return list<array{place: string, name: string, text: string, at: string}> each with what it is named by, folded
     *     and as it is written, and a JSON Pointer into the pack
     */
    public static function of(Pack $pack): array
    {
        $texts = [];
        foreach (array_keys($pack->facts) as $index => $name) {
            $fact = $pack->facts[$name];
            if ($fact->isResponse) {
                $texts[] = [
                    'place' => "fact.$name",
                    'name' => "fact.{$fact->name}",
                    'text' => $fact->text,
                    'at' => "/facts/$index/text",
                ];
            }
        }
        foreach (array_keys($pack->lists) as $index => $name) {
            $list = $pack->lists[$name];
            foreach ($list->isResponses ? $list->all : [] as $place => $item) {
                $texts[] = [
                    'place' => "list.$name",
                    'name' => "list.{$list->name}, item ".($place + 1).',',
                    'text' => $item->text,
                    'at' => "/lists/$index/items/$place/text",
                ];
            }
        }

        return $texts;
    }
}
