<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** Every bound on what people write. Beyond one there is a finding, never a crash. */
final class Limits
{
    /** Characters of a title or category of a stream, or of what a mark is called. */
    public const TITLE = 140;

    /** Tags of a stream. */
    public const TAGS = 10;

    /** Characters of one. */
    public const TAG = 25;

    /** Characters of one response as it is written. */
    public const SOURCE = 2_000;

    /** Brackets and choices inside each other. */
    public const NESTING = 16;

    /** Slots and choices in one response. */
    public const SLOTS = 64;

    /** Characters of what is said, before it is fitted to the chat. */
    public const SAID = 4_000;

    /** Characters of any text that is a value on the way: what would be longer is not built. */
    public const VALUE = 4_000;

    /** Parts of any list. */
    public const PARTS = 1_000;

    /** Steps of work in one saying, of about a microsecond each: a twentieth of a second. */
    public const WORK = 50_000;

    /** Digits of a number, on both sides of the point together. */
    public const DIGITS = 30;

    /** The highest number a counter or points reach: 15 digits, as many as a typed number may have. */
    public const COUNTER = 999_999_999_999_999;

    /** The widest range of `roll`. */
    public const WIDEST_ROLL = 1_000_000_000;

    /** Characters of a chat line that are looked at. */
    public const LINE = 2_000;

    /** Characters of a person's name, and of a server's. */
    public const NAME = 60;

    /** Characters of a text kept in a viewer's field. */
    public const FIELD_TEXT = 500;

    /** Characters of one detail or reading from outside. */
    public const READING = 500;

    /** Goods that change hands at once. */
    public const GOODS = 1_000;

    /** Characters of whom or what a quote credits. */
    public const QUOTE_BY = 100;

    /** Persons that `top` gives. */
    public const TOP = 20;

    /** Bytes of a pack document. */
    public const PACK = 4_000_000;

    /** Levels of a document inside each other. */
    public const DOCUMENT_NESTING = 32;

    /** Commands of one pack. */
    public const COMMANDS = 5_000;

    /** Answers of one command that are held to be right. */
    public const EXPECTATIONS = 200;

    /** Lines of one rehearsal that is typed by hand. */
    public const REHEARSAL_LINES = 10_000;

    /** Likewise, of a file that somebody hands to the command line. */
    public const REHEARSAL_FILE_LINES = 1_000_000;
}
