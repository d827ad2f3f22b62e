<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\TextList;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Suggestions;

/** An item is added to a list whose author lets people do so; whatever is typed, it is plain text. */
final class AddItem implements Deed
{
    public static function key(): string
    {
        return 'add item';
    }

    public function inputs(): array
    {
        return ['list' => '[word 1]', 'text' => '[words 2]'];
    }

    public function gives(): array
    {
        return ['name', 'after', 'has'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        $list = $scene->pack->lists[Fold::caseless(trim($with['list']))] ?? null;
        if ($list === null || ! $list->isFromChat) {
            return self::noList($with['list'], $scene);
        }
        if (! $scene->knows(Reads::of(Key::addedItems($list->id)))) {
            return null;
        }
        $text = trim($with['text']);
        $most = AddedItems::MOST;

        return match (true) {
            Fold::isBlank($text) => ActionDone::refused('no-text'),
            mb_strlen($text) > AddedItems::LONGEST => ActionDone::refused('too-long', ['most' => AddedItems::LONGEST]),
            AddedItems::has($scene->memory, $list, $text) => ActionDone::refused('item-known', [
                'text' => DeedScene::short($text),
                'name' => $list->name,
            ]),
            count(AddedItems::in($scene->memory, $list)) >= $most => ActionDone::refused('too-many-items', [
                'name' => $list->name,
                'most' => $most,
            ]),
            default => ActionDone::with([AddedItems::more($scene->memory, $list, $text, $scene->now)], [
                'name' => $list->name,
                'after' => $text,
                'has' => count($list->items) + count(AddedItems::in($scene->memory, $list)) + 1,
            ]),
        };
    }

    /** Lists that take nothing are not told from those that are not there. */
    private static function noList(string $typed, DeedScene $scene): ActionDone
    {
        $open = array_filter($scene->pack->lists, static fn (TextList $one): bool => $one->isFromChat);
        $names = array_map(static fn (TextList $one): string => $one->name, array_values($open));
        $nearest = Suggestions::to($typed, $names);

        return $nearest === null
            ? ActionDone::refused('no-list', ['name' => DeedScene::short($typed)])
            : ActionDone::refused('no-list-but', ['name' => DeedScene::short($typed), 'nearest' => $nearest]);
    }
}
