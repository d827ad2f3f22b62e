<?php

declare(strict_types=1);

namespace SilverParrot\Document;

use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;

/** What can be wrong with a document, before anybody asks what its responses say. */
enum DocumentError: string implements FindingKind
{
    case NotReadable = 'not-readable';
    case NeedsQuotes = 'needs-quotes';
    case HasTags = 'has-tags';
    case TooDeep = 'too-deep-a-document';
    case VersionAsText = 'version-as-text';
    case DateNeedsQuotes = 'date-needs-quotes';
    case TooLarge = 'too-large';
    case WrongFormat = 'wrong-format';
    case WrongVersion = 'wrong-version';
    case UnknownKey = 'unknown-key';
    case MissingKey = 'missing-key';
    case WrongKind = 'wrong-kind';
    case NotOneOf = 'not-one-of';
    case OutOfRange = 'out-of-range';
    case TextTooLong = 'text-too-long';
    case TooMany = 'too-many';
    case NotAName = 'not-a-name';
    case NotATrigger = 'not-a-trigger';
    case NotAnId = 'not-an-id';
    case IdTwice = 'id-twice';
    case NameTwice = 'name-twice';
    case RankTwice = 'rank-twice';
    case KeyTwice = 'key-twice';
    case NotAMoment = 'not-a-moment';
    case NotAZone = 'not-a-zone';
    case NotALanguage = 'not-a-language';
    case NotAnEmote = 'not-an-emote';
    case NotInPlan = 'not-in-plan';
    case NotAPicture = 'not-a-picture';
    case NotAnAddressPart = 'not-an-address-part';
    case NotInPack = 'not-in-pack';
    case NothingChosen = 'nothing-chosen';
    case NothingNamed = 'nothing-named';
    case NeverQuiet = 'never-quiet';
    case OneTooMany = 'one-too-many';
    case NotATime = 'not-a-time';
    case NotADate = 'not-a-date';
    case EndsBeforeItBegins = 'ends-before-it-begins';

    case NotAWebAddress = 'not-a-web-address';

    case NotAPath = 'not-a-path';

    case NotAHeader = 'not-a-header';
    case OnlyNumbersAreNoted = 'only-numbers-are-noted';

    case NotAdmitted = 'not-admitted';

    case NotAnOperand = 'not-an-operand';

    public function code(): string
    {
        return $this->value;
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return match ($this) {
            self::NotReadable => 'The document cannot be read: {why}.',
            self::NeedsQuotes => 'On line {line}, {value} begins with a sign that means something else in YAML.',
            self::HasTags => 'Line {line} has a tag, {value}, and documents are read without any.',
            self::TooDeep => 'The document has more than {limit} things inside each other.',
            self::VersionAsText => 'The version is in quotes, and it is a number.',
            self::DateNeedsQuotes => 'Expected a text, found a date.',
            self::TooLarge => 'The document has more than {limit} bytes.',
            self::WrongFormat => 'This is no {wanted}.',
            self::WrongVersion => 'Version {version} of the format is not known here.',
            self::UnknownKey => 'There is no “{key}” here.',
            self::MissingKey => '“{key}” is missing.',
            self::WrongKind => 'Expected {wanted}, found {found}.',
            self::NotOneOf => '“{value}” must be one of {known}.',
            self::OutOfRange => '{value} is not between {least} and {most}.',
            self::TextTooLong => 'The text has more than {limit} characters.',
            self::TooMany => 'There are more than {limit}.',
            self::NotAName => '“{value}” cannot be a name.',
            self::NotATrigger => 'Enter a trigger, for example !tide.',
            self::NotAnId => '“{value}” cannot be an id.',
            self::IdTwice => 'Two of them have the id “{value}”.',
            self::NameTwice => '“{value}” appears twice.',
            self::RankTwice => 'Two ranks begin at {value}.',
            self::KeyTwice => '“{key}” appears twice in the same object, and only one of the two could be kept.',
            self::NotAMoment => '“{value}” is not a moment.',
            self::NotAZone => '“{value}” is no time zone that is known here.',
            self::NotALanguage => '“{value}” is no language that is known here.',
            self::NotAnEmote => '“{value}” cannot be an emote.',
            self::NotInPlan => '“{value}” is no day or time of a plan.',
            self::NotAPicture => 'This is not a picture.',
            self::NotInPack => 'There is nothing called “{value}”.',
            self::NotAnAddressPart => '“{value}” cannot stand in an address.',
            self::NothingChosen => 'No level is chosen.',
            self::NothingNamed => 'Nothing is set here.',
            self::NeverQuiet => 'It would speak all the time.',
            self::OneTooMany => '“{key}” and “{other}” cannot both be set.',
            self::NotATime => '“{value}” is no time of day.',
            self::NotADate => '“{value}” is no date.',
            self::EndsBeforeItBegins => 'It ends before it begins, on {until}.',
            self::NotAWebAddress => 'This is no web address: {why}.',
            self::NotAPath => '“{value}” cannot be read as a path: {why}.',
            self::NotAHeader => '“{value}” cannot be in a header.',
            self::OnlyNumbersAreNoted => 'Only a number can be noted when the stream begins.',
            self::NotAdmitted => '“{value}” is not one of the values that are allowed here.',
            self::NotAnOperand => '“{value}” is no name of a value.',
        };
    }

    public function mend(): string
    {
        return match ($this) {
            self::NotReadable => 'Write it as JSON or YAML.',
            self::NeedsQuotes => 'Put it in quotes: "{value}".',
            self::HasTags => 'Leave the tag out.',
            self::TooDeep => 'Write it flatter.',
            self::VersionAsText => 'Write “version: {known}” without quotes.',
            self::DateNeedsQuotes => 'Put it in quotes.',
            self::TooLarge, self::TooMany => 'Divide it.',
            self::WrongFormat => 'Begin it with "format": "{format}" and "version": {version}.',
            self::WrongVersion => 'Write "version": {known}, or use a newer Silver Parrot.',
            self::UnknownKey => 'Did you mean “{nearest}”?',
            self::MissingKey => 'Write it.',
            self::WrongKind => 'Write {wanted}.',
            self::NotOneOf => 'Choose one of them.',
            self::OutOfRange => 'Take a number between them.',
            self::TextTooLong => 'Shorten it.',
            self::NotAName => 'A name begins with a letter or “_” and has letters, digits and “_” only.',
            self::NotATrigger => 'It has one to five words, and no brackets.',
            self::NotAnId => 'An id is one word, without spaces; leave it out, and it gets one.',
            self::IdTwice => 'Leave one of them out, and it gets another.',
            self::NameTwice => 'Take another name for one of them.',
            self::RankTwice => 'Let one of them begin at another number.',
            self::KeyTwice => 'Take one of them out, or give it another name.',
            self::NotAMoment => 'Write it as in 2026-11-25T09:00:00Z.',
            self::NotAZone => 'Write it as in Europe/London.',
            self::NotALanguage => 'Write it as in en or pt-BR.',
            self::NotAnEmote => 'Letters, digits and “_” can be in its word, two to forty of them.',
            self::NotInPlan => 'Write a day like "tue" or "2026-12-24", and a time like "19:30".',
            self::NotInPack => 'Make it first, or import the pack that it belongs to.',
            self::NotAnAddressPart => 'Write letters, digits and signs without spaces, like from=chat.',
            self::NotAPicture => 'It is to be a data: address of a PNG, GIF or WebP.',
            self::NothingChosen => 'Choose one or more, or let it be for everyone.',
            self::NothingNamed => 'Fill it in, or remove it.',
            self::NeverQuiet => 'Let it wait for some minutes, or for some lines.',
            self::OneTooMany => 'Leave one of them out.',
            self::NotATime => 'Write it like 19:30.',
            self::NotADate => 'Write it like 2026-12-24, or 2026-12-24T18:00.',
            self::EndsBeforeItBegins => 'Let it end after {from}.',
            self::NotAWebAddress => 'Write it like https://tides.example/{port}.',
            self::NotAPath => 'Write {wanted}.',
            self::OnlyNumbersAreNoted => 'Make it a number, or leave it unnoted.',
            self::NotAHeader => 'Write a name like Accept, and a value on one line; some names are the parrot’s own.',
            self::NotAdmitted => 'Change it, or allow it.',
            self::NotAnOperand => 'Write it like words, caller.boat, fact.account or lookup.find.number.',
        };
    }
}
