<?php

declare(strict_types=1);

namespace Harbour;

/** What the service knows of its channels, and how lively its chat is. Can be changed while it runs. */
final class Town
{
    public const FASTEST = 3_000.0;

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
     * Title, category, and whether the stream is on; a category must be one that the service knows.
     *
     * @param  array<array-key, mixed>  $changes
     */
    public function change(string $login, array $changes): bool
    {
        $known = $this->channels[$login] ?? null;
        if ($known === null) {
            return false;
        }
        if (is_string($changes['title'] ?? null) && mb_strlen($changes['title']) <= 140) {
            $known['title'] = $changes['title'];
        }
        if (is_array($known['categories']) && in_array($changes['category'] ?? null, $known['categories'], true)) {
            $known['category'] = $changes['category'];
        }
        if (is_bool($changes['live'] ?? null) && $changes['live'] !== $known['live']) {
            $known =
                ['live' => $changes['live'], 'started' => $changes['live'] ? gmdate('Y-m-d\TH:i:s\Z') : null] + $known;
        }
        $this->channels[$login] = $known;

        return true;
    }
}
