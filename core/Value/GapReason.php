<?php

declare(strict_types=1);

namespace SilverParrot\Value;

/** Why there is no value. */
enum GapReason: string
{
    /** It was not fetched yet; whoever hears the event is told what to fetch. Never reaches a person. */
    case Pending = 'pending';

    /** Something was divided by zero. */
    case DivisionByZero = 'division-by-zero';

    /** A number was needed and the value is none. */
    case NoNumber = 'no-number';

    /** Arithmetic met nothing at all. */
    case NothingToCount = 'nothing-to-count';

    /** A number has more digits than are kept. */
    case TooLarge = 'too-large';

    /** A bound of `roll` is not a whole number from 1 on. */
    case BadRoll = 'bad-roll';

    /** A whole number was needed. */
    case NotWhole = 'not-whole';

    /** The web source did not answer, or not with this. */
    case LookupDown = 'look-up-down';

    /** Details of the channel or of a person could not be had. */
    case DetailsDown = 'details-down';

    /** Memory could not be searched. */
    case NotSearched = 'not-searched';

    /** A list with nothing in it. */
    case EmptyList = 'empty-list';

    /** A name that the pack does not have. */
    case Unknown = 'unknown-name';

    /** A fact or an item that is said as a response could not be said. */
    case OwnResponseFails = 'own-response-fails';

    /** A text would have more characters than any value may. */
    case TooLong = 'too-long-a-text';

    /** A list would have more parts than any may. */
    case TooMany = 'too-many-parts';

    /** A moment would lie outside the years that can be written. */
    case TooFar = 'too-far';

    /** A value of another kind was needed. */
    case WrongKind = 'wrong-kind';
}
