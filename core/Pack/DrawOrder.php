<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** How the next item of a list is found. */
enum DrawOrder: string
{
    /** Each draw by itself, by weight. */
    case Free = 'free';

    /** By weight, but never the same twice running. */
    case NoRepeat = 'no_repeat';

    /** All once in a shuffled order, then shuffled anew. */
    case Shuffled = 'shuffled';

    /** One after another as they are written. */
    case InTurn = 'in_turn';

    /** One a day for each person, the same until midnight where the channel is. */
    case OneADay = 'one_a_day';

    public function needsMemory(): bool
    {
        return $this !== self::Free;
    }
}
