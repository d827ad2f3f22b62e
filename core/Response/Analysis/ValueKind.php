<?php

declare(strict_types=1);

namespace SilverParrot\Response\Analysis;

/** What a value can be. Nothing, and the gap, are told apart from these. */
enum ValueKind: string
{
    /** Any text. */
    case Text = 'a text';

    /** An exact number, whole or not. */
    case Number = 'a number';

    /** Yes or no. */
    case YesNo = 'yes or no';

    /** A point in time. */
    case Moment = 'a moment';

    /** The stretch between two moments. */
    case TimeSpan = 'a span';

    /** Somebody in the chat. */
    case Person = 'a person';

    /** A badge that a person holds. */
    case Level = 'a level';

    /** Several values in their order. */
    case Items = 'a list';
}
