<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

/** How often one kind of thing came of one lane in one of the equal pieces of a time. */
final readonly class MarkSum
{
    /**
     * @param  string  $kind  of MarkKind
     * @param  int  $id  of the first of them
     */
    public function __construct(
        public int $lane,
        public string $kind,
        public int $piece,
        public int $count,
        public int $id,
    ) {
    }

    /** In pieces twice as wide. */
    public function widened(?self $neighbour): self
    {
        return new self(
            $this->lane,
            $this->kind,
            intdiv($this->piece, 2),
            $this->count + ($neighbour->count ?? 0),
            min($this->id, $neighbour->id ?? $this->id),
        );
    }
}
