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
     */
    public function __construct(
        public ReadScript $script,
        public array $checked,
        public array $heard,
        private array $places,
    ) {
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
