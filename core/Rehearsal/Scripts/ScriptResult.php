<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Rehearsal\Heard;

/** What a script came to. */
final readonly class ScriptResult
{
    /**
     * @param  list<Checked>  $checked
     * @param  list<Heard>  $heard
     * @param  array<string, int>  $places  of its parts, by the key of their event
     * @param  array<int, array<string, null|bool|int|string|array<string, mixed>>>  $given  what each found in memory
     * @param  array<int, array<string, null|bool|int|string>>  $told  what each was told from outside
     */
    public function __construct(
        public ReadScript $script,
        public array $checked,
        public array $heard,
        private array $places,
        private array $given = [],
        private array $told = [],
    ) {
    }

    /** @return array<string, null|bool|int|string|array<string, mixed>> what a part of it found in memory, by key id */
    public function memory(int $part): array
    {
        return $this->given[$part] ?? [];
    }

    /** @return array<string, null|bool|int|string> what it was told from outside, by request id */
    public function told(int $part): array
    {
        return $this->told[$part] ?? [];
    }

    public function holds(): bool
    {
        return $this->firstUnmet() === null;
    }

    public function firstUnmet(): ?Checked
    {
        foreach ($this->checked as $one) {
            if (! $one->holds()) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<Heard> a part of the script, and what came of it later */
    public function of(int $part): array
    {
        return array_values(
            array_filter($this->heard, fn (Heard $one): bool => ($this->places[$one->from()] ?? null) === $part),
        );
    }

    /** @return list<string> what is said to a part of it */
    public function said(int $part): array
    {
        return array_merge([], ...array_map(static fn (Heard $one): array => $one->outcome->texts(), $this->of($part)));
    }
}
