<?php

declare(strict_types=1);

namespace App\Storage\Shelves;

/** When the last answers were given, against floods. */
final class RecentAnswers extends Shelf
{
    public function __construct()
    {
        parent::__construct('recent_answers', '', hasViewers: true);
    }

    protected function encode(null|bool|int|string|array $value): array
    {
        return ['answers' => self::json($value)];
    }

    protected function decode(array $row): null|bool|int|string|array
    {
        return self::fromJson($row['answers'] ?? null);
    }
}
