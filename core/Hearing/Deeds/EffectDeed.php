<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Effect;

/** A deed that is carried out after the commit. The steps behind it go on once it is known what came of it. */
interface EffectDeed extends Deed
{
    /** @param  array<string, string>  $with  all inputs, filled in */
    public function effect(array $with, Person $by): Effect;
}
