<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** A store that nobody else writes to, and that has all at hand: nothing need be asked for before, or heard twice. */
interface AtHand extends Store
{
    /** @return ViewAtHand|null null where what is beneath is read together instead */
    public function atHand(): ?ViewAtHand;
}
