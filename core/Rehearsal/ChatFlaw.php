<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;

/** What can be wrong with a chat that is written as lines. */
enum ChatFlaw: string implements FindingKind
{
    case NotALine = 'not-a-line';
    case UnknownLevel = 'unknown-level';
    case BackInTime = 'back-in-time';
    case TooManyLines = 'too-many-lines';

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
            self::NotALine => 'Line {number} is neither a chat line nor somebody’s levels.',
            self::UnknownLevel => 'Line {number}: there is no level named “{level}”.',
            self::BackInTime => 'Line {number} comes before the line above it.',
            self::TooManyLines => 'There are more than {limit} lines.',
        };
    }

    public function mend(): string
    {
        return match ($this) {
            self::NotALine => 'Write “+12s name: text”, or “# name: level, level”.',
            self::UnknownLevel => 'Did you mean {nearest}?',
            self::BackInTime => 'Times are counted from the start and only grow.',
            self::TooManyLines => 'Divide it.',
        };
    }
}
