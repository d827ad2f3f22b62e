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

    /** It answered with a status that says no. */
    case LookupStatus = 'look-up-status';

    /** It did not answer in time. */
    case LookupTooLate = 'look-up-too-late';

    /** A page for people came where something else was expected. */
    case LookupAnotherFormat = 'look-up-another-format';

    /** What came is not what it should be written in. */
    case LookupBroken = 'look-up-broken';

    /** More came than is read. */
    case LookupTooLarge = 'look-up-too-large';

    /** It sent on to somewhere else. */
    case LookupMoved = 'look-up-moved';

    /** The streamer has not allowed its host, or nobody may be asked there. */
    case LookupNotAllowed = 'look-up-not-allowed';

    /** It was asked as often as it may be. */
    case LookupOverBudget = 'look-up-over-budget';

    /** It failed often, and is left alone for a while. */
    case LookupLeftAlone = 'look-up-left-alone';

    /** A path took too long. */
    case LookupPathTooSlow = 'look-up-path-too-slow';

    /** The answer has nothing where the path leads. */
    case LookupMissing = 'look-up-missing';

    /** What stands there is no number, no moment. */
    case LookupOfAnotherKind = 'look-up-of-another-kind';

    /** A parameter may not be what it was given, told in its author's own sentence. */
    case LookupParameter = 'look-up-parameter';

    /** A parameter may not be what it was given. */
    case LookupParameterOdd = 'look-up-parameter-odd';

    /** What a parameter comes from says nothing. */
    case LookupParameterMissing = 'look-up-parameter-missing';

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
