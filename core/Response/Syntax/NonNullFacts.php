<?php

declare(strict_types=1);

namespace SilverParrot\Response\Syntax;

/** What is there along with something else. */
final class NonNullFacts
{
    /** @return list<string> the key, and the keys of what must be there for it to be */
    public static function with(?string $key): array
    {
        return match (true) {
            $key === null => [],
            $key === 'words 1 ', $key === 'words 1 1' => ['words 1 ', 'words 1 1'],
            $key === 'target', str_starts_with($key, 'target.') => [$key, 'target', 'words 1 ', 'words 1 1'],
            str_starts_with($key, 'words ') => [$key, 'words 1 ', 'words 1 1'],
            str_starts_with($key, 'occasion.') => [$key, "since $key", "until $key"],
            default => [$key],
        };
    }
}
