<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

use SilverParrot\Value\Number;

/** A named value kept for each viewer. */
final readonly class Field
{
    /** What viewers' values are kept under; a new name does not change it. */
    public string $id;

    /**
     * @param  string|null  $start what a viewer has before anything was set, written as in a response
     * @param  string  $one  of points, what one is called: "pebble"; empty for the name
     * @param  string  $plural  and many: "pebbles"
     * @param  int  $leastGift  the least that one viewer gives another
     * @param  bool  $ranksStreamer  whether the streamer earns them and stands in rankings
     */
    public function __construct(
        public string $name,
        public FieldType $type = FieldType::Text,
        public ?string $start = null,
        string $id = '',
        public string $one = '',
        public string $plural = '',
        public int $leastGift = 1,
        public bool $ranksStreamer = false,
        public FieldLimits $limits = new FieldLimits,
        public ChangeRule $changes = new ChangeRule,
    ) {
        $this->id = $id === '' ? $name : $id;
    }

    public function many(): string
    {
        return $this->plural === '' ? $this->name : $this->plural;
    }

    public function called(int|Number $count): string
    {
        return $count === 1 && $this->one !== '' ? $this->one : $this->many();
    }
}
