<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** Items of lists that were added in the chat, those of a list together. */
final class ItemsFromChat extends Shelf
{
    public function __construct()
    {
        parent::__construct('items_from_chat', 'list');
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return ['items' => self::json($value)];
    }

    protected function decode(array $row): null|bool|int|string|array
    {
        return self::fromJson($row['items'] ?? null);
    }
}
