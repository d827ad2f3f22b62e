<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;

/**
 * The texts of a pack that are responses without being a command's: facts and list items that their author made so, and
 * what is said of ranks.
 */
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

        foreach (array_keys($pack->ladders) as $index => $field) {
            $ladder = $pack->ladders[$field];
            foreach (array_filter(['rises' => $ladder->rises, 'falls' => $ladder->falls]) as $when => $text) {
                $texts[] = [
                    'place' => "ranks.$field",
                    'name' => "What is said when a rank by {$ladder->field} $when",
                    'text' => $text,
                    'at' => "/ladders/$index/$when",
                ];
            }
        }

        return $texts;
    }

    /**
     * All that is said along with what names it, however far one leads to the next.
     *
     * @param  list<string>  $named  "fact.shop"
     * @param  array<string, list<string>>  $texts  as byPlace() has them
     * @return array<string, list<string>> texts by what they are named by; once each, where one leads back too
     */
    public static function ledTo(array $named, array $texts, ResponseCache $prepared): array
    {
        $led = [];
        while ($named !== []) {
            $place = array_pop($named);
            if (isset($led[$place]) || ! isset($texts[$place])) {
                continue;
            }
            $led[$place] = $texts[$place];
            foreach ($texts[$place] as $text) {
                array_push($named, ...$prepared->response($text)->namedPlaces());
            }
        }

        return $led;
    }

    /** @return array<string, list<string>> texts by what they are named by */
    public static function byPlace(Pack $pack): array
    {
        $texts = [];
        foreach (self::of($pack) as $one) {
            $texts[$one['place']][] = $one['text'];
        }

        return $texts;
    }
}
