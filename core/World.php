<?php

declare(strict_types=1);

namespace SilverParrot;

use SilverParrot\Chance\Chance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Lookup\Readings;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Pack;
use SilverParrot\Value\Moment;

/** All that an answer depends on besides the event itself. */
final readonly class World
{
    /** @param  bool  $traced whether the account of how it came about is wanted */
    public function __construct(
        public Pack $pack,
        public View $memory,
        public Readings $readings,
        public Moment $now,
        public Chance $chance,
        public ChatProfile $profile,
        public bool $traced = false,
    ) {
    }

    public function remembering(View $memory): self
    {
        return new self(
            $this->pack,
            $memory,
            $this->readings,
            $this->now,
            $this->chance,
            $this->profile,
            $this->traced,
        );
    }

    public function reading(Readings $readings): self
    {
        return new self(
            $this->pack,
            $this->memory,
            $readings,
            $this->now,
            $this->chance,
            $this->profile,
            $this->traced,
        );
    }
}
