<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;

/** What can be wrong with a response as it is written. */
enum SyntaxErrorCode: string implements FindingKind
{
    case TooLong = 'too-long';
    case TooDeep = 'too-deep';
    case TooManySlots = 'too-many-slots';
    case SlotNotClosed = 'slot-not-closed';
    case QuoteNotClosed = 'quote-not-closed';
    case EmptySlot = 'empty-slot';
    case ValueExpected = 'value-expected';
    case Unexpected = 'unexpected';
    case NotASlot = 'not-a-slot';
    case StraySign = 'stray-sign';
    case ParenthesisNotClosed = 'parenthesis-not-closed';
    case WhenNotClosed = 'when-not-closed';
    case StrayElse = 'stray-else';
    case StrayEnd = 'stray-end';
    case ElseAfterElse = 'else-after-else';
    case VerbIncomplete = 'verb-incomplete';
    case VerbInside = 'verb-inside';
    case PlaceExpected = 'place-expected';
    case CannotBeChanged = 'cannot-be-changed';
    case NameExpected = 'name-expected';
    case NameTaken = 'name-taken';
    case NameReserved = 'name-reserved';
    case UnknownName = 'unknown-name';
    case UnknownPart = 'unknown-part';
    case PartExpected = 'part-expected';
    case TakesNothing = 'takes-nothing';
    case UnknownArgument = 'unknown-argument';
    case NotNoted = 'not-noted';
    case UnknownFilter = 'unknown-filter';
    case FilterNeeds = 'filter-needs';
    case FilterTakesLess = 'filter-takes-less';
    case EqualsSign = 'equals-sign';
    case UnequalSign = 'unequal-sign';
    case AndSigns = 'and-signs';
    case OrSigns = 'or-signs';
    case ChainedComparison = 'chained-comparison';
    case RollWithComma = 'roll-with-comma';
    case DiceNotation = 'dice-notation';
    case PercentSign = 'percent-sign';
    case HyphenInName = 'hyphen-in-name';
    case DoubledBrackets = 'doubled-brackets';
    case UnknownLevel = 'unknown-level';
    case NotAPerson = 'not-a-person';
    case NoViewerScope = 'no-viewer-scope';
    case BadWord = 'bad-word';
    case OrAfterFilter = 'or-after-filter';
    case TopIncomplete = 'top-incomplete';

    public function code(): string
    {
        return $this->value;
    }

    public function severity(): Severity
    {
        return match ($this) {
            self::DoubledBrackets => Severity::Note,
            default => Severity::Error,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::TooLong => 'The response has more than {limit} characters.',
            self::TooDeep => 'More than {limit} brackets or choices are inside each other.',
            self::TooManySlots => 'There are more than {limit} slots.',
            self::SlotNotClosed => 'This slot is opened and not closed.',
            self::QuoteNotClosed => 'A quote mark is opened and not closed on its line.',
            self::EmptySlot => 'Nothing is between these brackets.',
            self::ValueExpected => 'A value is missing here.',
            self::Unexpected => '“{text}” does not belong here.',
            self::NotASlot => '“{text}” is in brackets, but a slot cannot hold this.',
            self::StraySign => '“{text}” means nothing inside a slot.',
            self::ParenthesisNotClosed => 'A parenthesis is opened and not closed.',
            self::WhenNotClosed => 'This “when” has no [end].',
            self::StrayElse => 'This [else] belongs to no [when …].',
            self::StrayEnd => 'This [end] belongs to no [when …].',
            self::ElseAfterElse => 'A second [else] can never be reached.',
            self::VerbIncomplete => '“{verb}” is not complete.',
            self::VerbInside => '“{verb}” changes something, and may only stand alone in a slot.',
            self::PlaceExpected => '“{verb}” must say what it changes.',
            self::CannotBeChanged => '{name} cannot be changed by a response.',
            self::NameExpected => 'A name is missing after “{text}”.',
            self::NameTaken => '{name} is a name already.',
            self::NameReserved => '{name} is a word of the language and cannot be a name.',
            self::UnknownName => 'Nothing is named {name}.',
            self::UnknownPart => 'There is no {of} “{name}”.',
            self::PartExpected => '{name} needs a name after a dot.',
            self::TakesNothing => '{name} takes nothing after it.',
            self::UnknownFilter => 'There is no filter named {name}.',
            self::UnknownArgument => '{name} has no parameter “{argument}”.',
            self::NotNoted => '{name} is not noted when the stream begins, so nothing is known to be gained.',
            self::FilterNeeds => 'The filter {name} needs {needs}.',
            self::FilterTakesLess => 'The filter {name} takes no more than {most} values.',
            self::EqualsSign => '“=” does not compare.',
            self::UnequalSign => '“{text}” does not compare.',
            self::AndSigns => '“{text}” does not join conditions.',
            self::OrSigns => 'Use “or” between conditions.',
            self::ChainedComparison => 'Comparisons cannot be chained.',
            self::RollWithComma => 'A roll has no comma.',
            self::DiceNotation => '“{text}” is dice notation, which is not read here.',
            self::PercentSign => 'A percent sign inside a slot divides and takes the rest.',
            self::HyphenInName => 'A name has no hyphen; this takes one from the other.',
            self::DoubledBrackets => 'Two opening brackets say one “[”, so this is said as it stands and is no slot.',
            self::UnknownLevel => 'There is no level named “{text}”.',
            self::NotAPerson => '“for” needs a person, and {name} is none.',
            self::NoViewerScope => '{name} is not kept for each viewer, so “for” means nothing here.',
            self::BadWord => 'Words are counted from 1.',
            self::OrAfterFilter => '“or” stands after a filter.',
            self::TopIncomplete => '“top” is not complete.',
        };
    }

    public function mend(): string
    {
        return match ($this) {
            self::TooLong, self::TooManySlots => 'Make two commands of it, or shorten it.',
            self::TooDeep => 'Choose fewer things inside each other.',
            self::SlotNotClosed => 'Close it with “]”, or write “[[” to say a bracket.',
            self::QuoteNotClosed => 'Close it with the same mark.',
            self::EmptySlot => 'Write what is to be said there, or “[[” to say a bracket.',
            self::ValueExpected => 'Write a name, a number, or a text in quotes.',
            self::Unexpected => 'Remove it, or put text in double quotes.',
            self::NotASlot => 'Write “[[{text}]” to say it with its brackets.',
            self::StraySign => 'Put text in double quotes.',
            self::ParenthesisNotClosed => 'Close it with “)”.',
            self::WhenNotClosed => 'Write [end] where the choice ends.',
            self::StrayElse, self::StrayEnd => 'Remove it, or write the [when …] that it belongs to.',
            self::ElseAfterElse => 'Remove one of them, or write [else when …] for the first.',
            self::VerbIncomplete => 'Write it as in [{example}].',
            self::VerbInside => 'Put it in a slot of its own before this one, and name its value with “as”.',
            self::PlaceExpected => 'Write it as in [{example}].',
            self::CannotBeChanged => 'Counters, fields, points and occasions can be.',
            self::NameExpected => 'Write the name.',
            self::NameTaken, self::NameReserved => 'Take another name.',
            self::UnknownName, self::UnknownPart, self::UnknownFilter, self::UnknownLevel,
            self::UnknownArgument => 'Did you mean {nearest}?',
            self::NotNoted => 'Have it noted: at the reading, in Remember, Look-ups.',
            self::PartExpected => 'Write it as in {example}.',
            self::TakesNothing => 'Remove what stands after it.',
            self::FilterNeeds => 'Write it as in [{example}].',
            self::FilterTakesLess => 'Remove the rest.',
            self::EqualsSign => 'Write “is”.',
            self::UnequalSign => 'Write “is not”.',
            self::AndSigns => 'Write “and”.',
            self::OrSigns => 'Write “or”.',
            self::ChainedComparison => 'Write both comparisons with “and” between them.',
            self::RollWithComma => 'Write “roll {from} to {to}”.',
            self::DiceNotation => 'Write {instead}.',
            self::PercentSign => 'Put the percent sign after the closing bracket.',
            self::HyphenInName => 'Write “{instead}”, or put spaces around the minus sign.',
            self::DoubledBrackets => 'Remove one bracket if a slot is meant.',
            self::NotAPerson => 'Write “for caller”, “for target”, or a login in quotes: for "odo".',
            self::NoViewerScope => 'Remove “for …”.',
            self::BadWord => 'Write “word 1” for the first.',
            self::OrAfterFilter => 'Write “| default {instead}”.',
            self::TopIncomplete => 'Write it as in [top 3 by pebbles].',
        };
    }
}
