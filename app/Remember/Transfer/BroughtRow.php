<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

/** One row that somebody brings, and what would become of it. */
final readonly class BroughtRow
{
    /**
     * @param  string  $told  how it is shown
     * @param  string  $problem  what is wrong with it, and the mend; empty where it can be kept
     * @param  array<string, mixed>  $values  as they are kept
     */
    private function __construct(
        public RowState $state,
        public string $told,
        public string $problem,
        public array $values,
    ) {
    }

    /** @param  array<string, mixed>  $values */
    public static function new(string $told, array $values): self
    {
        return new self(RowState::New, $told, '', $values);
    }

    /** @param  array<string, mixed>  $values */
    public static function changed(string $told, array $values): self
    {
        return new self(RowState::Changed, $told, '', $values);
    }

    public static function same(string $told): self
    {
        return new self(RowState::Same, $told, '', []);
    }

    public static function wrong(string $told, string $problem): self
    {
        return new self(RowState::Wrong, $told, $problem, []);
    }

    public function isKept(): bool
    {
        return $this->state === RowState::New || $this->state === RowState::Changed;
    }
}
