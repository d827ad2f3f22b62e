<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\View;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/**
 * Items that people have added to a list in the chat. They are drawn like its own, always as plain text, and stand in
 * no edition until the author keeps them. Kept is {items: [{id, text}]}.
 */
final class AddedItems
{
    /** Of one list; more wait for the author to look at them. */
    public const MOST = 100;

    /** Characters of one. */
    public const LONGEST = 200;

    /** @return list<WeightedText> those that the list has not taken over */
    public static function in(View $memory, TextList $list): array
    {
        $kept = $memory->value(Key::addedItems($list->id));
        $own = array_column($list->all, 'id', 'id');
        $items = [];
        foreach (is_array($kept) && is_array($kept['items'] ?? null) ? $kept['items'] : [] as $item) {
            $id = is_array($item) && is_string($item['id'] ?? null) ? $item['id'] : '';
            $text = is_array($item) && is_string($item['text'] ?? null) ? $item['text'] : '';
            if ($id !== '' && $text !== '' && ! isset($own[$id])) {
                $items[] = new WeightedText($text, 1, $id, isPlain: true);
            }
        }

        return $items;
    }

    public static function has(View $memory, TextList $list, string $text): bool
    {
        foreach ([...$list->all, ...self::in($memory, $list)] as $item) {
            if (Fold::caseless($item->text) === Fold::caseless($text)) {
                return true;
            }
        }

        return false;
    }

    /** @param  Moment  $now  the same text at another time is another item: what was kept or deleted stays itself */
    public static function more(View $memory, TextList $list, string $text, Moment $now): Change
    {
        return self::change($memory, $list, [
            ...self::in($memory, $list),
            new WeightedText($text, 1, 'c'.hash('xxh64', "{$now->millis} $text"), isPlain: true),
        ]);
    }

    public static function without(View $memory, TextList $list, string $id): Change
    {
        return self::change($memory, $list, array_values(array_filter(
            self::in($memory, $list),
            static fn (WeightedText $item): bool => $item->id !== $id,
        )));
    }

    /** @param  list<WeightedText>  $items */
    private static function change(View $memory, TextList $list, array $items): Change
    {
        $key = Key::addedItems($list->id);

        return new Change(
            $key,
            $memory->value($key),
            $items === [] ? null : ['items' => array_map(
                static fn (WeightedText $item): array => ['id' => $item->id, 'text' => $item->text],
                $items,
            )],
            "list.{$list->name}",
            'channel',
        );
    }
}
