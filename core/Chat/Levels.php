<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** The set of levels that one person holds. */
final readonly class Levels
{
    /** @param  non-empty-array<int, Level>  $held by rank, lowest first; Everyone is always in it */
    private function __construct(private array $held)
    {
    }

    public static function of(Level ...$levels): self
    {
        $held = [Level::Everyone->value => Level::Everyone];
        foreach ($levels as $level) {
            $held[$level->value] = $level;
        }
        ksort($held);

        return new self($held);
    }

    public function has(Level $level): bool
    {
        return isset($this->held[$level->value]);
    }

    public function highest(): Level
    {
        return $this->held[array_key_last($this->held)];
    }

    /** @return list<Level> lowest first */
    public function all(): array
    {
        return array_values($this->held);
    }

    /** @return list<string> without "everyone" */
    public function words(): array
    {
        return array_values(
            array_map(
                static fn (Level $level): string => $level->word(),
                array_filter($this->held, static fn (Level $level): bool => $level !== Level::Everyone),
            ),
        );
    }
}
