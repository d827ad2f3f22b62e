<?php

declare(strict_types=1);

namespace SilverParrot;

use SilverParrot\Chance\Chance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Lookup\Readings;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/** All that an answer depends on besides the event itself. */
final readonly class World
{
    /**
     * @param  bool  $traced  whether the account of how it came about is wanted
     * @param  Wording  $wording  of what a response says of the parrot's own reasons
     */
    public function __construct(
        public Pack $pack,
        public View $memory,
        public Readings $readings,
        public Moment $now,
        public Chance $chance,
        public ChatProfile $profile,
        public bool $traced = false,
        public Wording $wording = new MessageKeys,
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
            $this->wording,
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
            $this->wording,
        );
    }
}
