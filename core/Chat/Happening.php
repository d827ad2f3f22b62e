<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Value\Moment;

/** Something that happened in the channel, and that nobody typed. */
final readonly class Happening implements Event
{
    /**
     * @param  Person|null  $by  who follows; null for what nobody did
     * @param  int  $count  people who come with a raid
     * @param  string  $text  the category
     */
    public function __construct(
        private string $key,
        public HappeningKind $kind,
        private Moment $at,
        private ?Person $by = null,
        public int $count = 0,
        public string $text = '',
    ) {
    }

    /** The same at another moment. */
    public function taking(Moment $at): self
    {
        return new self($this->key, $this->kind, $at, $this->by, $this->count, $this->text);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function at(): Moment
    {
        return $this->at;
    }

    public function person(): ?Person
    {
        return $this->by;
    }

    public function line(): ?ChatLine
    {
        return null;
    }

    /** "a raid of 80", "another category: Rigging" */
    public function inWords(): string
    {
        return $this->kind->label().match ($this->kind) {
            HappeningKind::Raid => " of {$this->count}",
            HappeningKind::Category => ": {$this->text}",
            default => '',
        };
    }
}
