<?php

declare(strict_types=1);

namespace Harbour;

/** What the service knows of its channels, and how lively its chat is. Can be changed while it runs. */
final class Town
{
    public const FASTEST = 3_000.0;

    /** Each with the tag that it brings along. */
    public const CATEGORIES = ['Planking' => 'wood', 'Caulking' => 'oakum', 'Rigging' => 'rope', 'Painting' => 'paint'];

    public const NOT_FOUND = 'not found';

    public const NO_CATEGORY = 'no such category';

    public const NOT_LIVE = 'not live';

    private const LONGEST_TITLE = 140;

    private const MOST_TAGS = 10;

    /** @var array<string, list<array{text: string, at: string}>> by login */
    private array $marks = [];

    /** @var array<string, array<string, mixed>> by login */
    private array $channels = [];

    public function __construct(public readonly Crowd $crowd, public float $pace)
    {
    }

    /** @param  array<string, mixed>  $details */
    public function found(string $login, array $details): void
    {
        $this->channels[$login] = $details;
    }

    /** @return array<string, mixed>|null */
    public function channel(string $login): ?array
    {
        return isset($this->channels[$login])
            ? $this->channels[$login] + ['people' => count($this->crowd->present())]
            : null;
    }

    /**
     * Title, category, tags, and whether the stream is on. A category brings its own tag along.
     *
     * @param  array<array-key, mixed>  $changes
     * @return array<string, mixed>|string the channel as it is then; or why not
     */
    public function change(string $login, array $changes): array|string
    {
        $known = $this->channels[$login] ?? null;
        if ($known === null) {
            return self::NOT_FOUND;
        }
        if (is_string($changes['title'] ?? null) && mb_strlen($changes['title']) <= self::LONGEST_TITLE) {
            $known['title'] = $changes['title'];
        }
        if (is_string($changes['category'] ?? null) && $changes['category'] !== '') {
            $category = $this->category($changes['category']);
            if ($category === null) {
                return self::NO_CATEGORY;
            }
            $tags = array_diff(self::texts($known['tags'] ?? []), array_values(self::CATEGORIES));
            $tags = [...array_values($tags), self::CATEGORIES[$category]];
            $known = ['category' => $category, 'tags' => $tags] + $known;
        }
        if (is_array($changes['tags'] ?? null)) {
            $known['tags'] = array_slice(self::texts($changes['tags']), 0, self::MOST_TAGS);
        }
        if (is_bool($changes['live'] ?? null) && $changes['live'] !== $known['live']) {
            $known =
                ['live' => $changes['live'], 'started' => $changes['live'] ? gmdate('Y-m-d\TH:i:s\Z') : null] + $known;
        }
        $this->channels[$login] = $known;

        return $this->channel($login) ?? self::NOT_FOUND;
    }

    /** @return array<string, mixed>|string the mark; or why not */
    public function mark(string $login, string $text): array|string
    {
        $known = $this->channels[$login] ?? null;
        if ($known === null || $known['live'] !== true) {
            return $known === null ? self::NOT_FOUND : self::NOT_LIVE;
        }
        $this->marks[$login][] = ['text' => mb_substr($text, 0, self::LONGEST_TITLE), 'at' => gmdate('Y-m-d\TH:i:s\Z')];

        return ['number' => count($this->marks[$login])] + $this->marks[$login][count($this->marks[$login]) - 1];
    }

    /** @return list<array{text: string, at: string}>|null */
    public function marks(string $login): ?array
    {
        return isset($this->channels[$login]) ? $this->marks[$login] ?? [] : null;
    }

    private function category(string $typed): ?string
    {
        foreach (array_keys(self::CATEGORIES) as $one) {
            if (mb_strtolower($one) === mb_strtolower($typed)) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function texts(mixed $given): array
    {
        return is_array($given) ? array_values(array_filter($given, is_string(...))) : [];
    }
}
