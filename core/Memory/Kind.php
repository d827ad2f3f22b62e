<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

/** What kind of thing is remembered under a key. */
enum Kind: string
{
    /** A counter's number. */
    case Counter = 'counter';

    /** A viewer's field, points among them. */
    case Field = 'field';

    /** How many of some goods a viewer owns. */
    case Goods = 'goods';

    /** An occasion's moment. */
    case Occasion = 'occasion';

    /** Who has a login: id, name, levels. */
    case Person = 'person';

    /**
     * Who has an id: login, name, levels, when they were seen and how many lines they wrote. Written; read by the
     * login.
     */
    case Seen = 'seen';

    /** A quote, by its number. */
    case Quote = 'quote';

    /** The highest number that a quote ever had. */
    case LastQuote = 'last-quote';

    /** All points that a viewer ever earned, spent or not. Only added to, without being read. */
    case EverEarned = 'ever-earned';

    /** How many of some goods were sold. */
    case Sold = 'sold';

    /** On which day a viewer checked in last, and for how many in a row. */
    case CheckIn = 'check-in';

    /** Whether a viewer is a regular, since when and why. */
    case Regular = 'regular';

    /** How often an item of a list came up. Only added to, without being read. */
    case Drawn = 'drawn';

    /** The last change of a counter that is guarded against doubles. */
    case Guarded = 'guarded';

    /** What a number was at the start of the stream. */
    case Noted = 'noted';

    /** The longest time between an occasion and the next. */
    case LongestRun = 'longest-run';

    /** Items of a list that were added in the chat, and stand in no edition. */
    case AddedItems = 'added-items';

    /** How far a list has been drawn. */
    case ListPosition = 'list';

    /** When a command last ran, for its cooldowns. */
    case LastRun = 'last-run';

    /** Since when a timer waits, and how often it spoke. */
    case Timer = 'timer';

    /** How many lines people wrote that were no commands. */
    case PeopleLines = 'people-lines';

    /** How often a command succeeded within a stream or a day. */
    case Successes = 'successes';

    /** When the last answers were given, against floods. */
    case RecentAnswers = 'recent-answers';

    /** Which stream is running, or was the last. */
    case Stream = 'stream';

    /** Whether a change of it adds to what is there, which nobody has read. */
    public function isTally(): bool
    {
        return $this === self::Drawn || $this === self::EverEarned;
    }

    /** Whether drawing from a list changes it. */
    public function isOfDraws(): bool
    {
        return $this === self::ListPosition || $this === self::Drawn;
    }

    /** Whether an author would call a change of it a change of memory. */
    public function isAuthored(): bool
    {
        return in_array($this, [
            self::Counter,
            self::Field,
            self::Occasion,
            self::Goods,
            self::Quote,
            self::Regular,
            self::AddedItems,
        ], true);
    }
}
