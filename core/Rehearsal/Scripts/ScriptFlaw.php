<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;

/** What can be wrong with a script besides its being no such document. */
enum ScriptFlaw: string implements FindingKind
{
    case NotALine = 'script-line';
    case NotATime = 'script-time';
    case BackInTime = 'script-back-in-time';
    case LineOrHappening = 'script-line-or-happening';

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
            self::NotALine => 'This is no line of a chat: “{value}”.',
            self::NotATime => '“{value}” is no time.',
            self::BackInTime => 'It comes before what stands above it.',
            self::LineOrHappening => 'Here stands neither a line nor something that happens, or both.',
        };
    }

    public function mend(): string
    {
        return match ($this) {
            self::NotALine => 'Write “+12s name: text”.',
            self::NotATime => 'Write “+12s” or “+1m5s”, counted from the start.',
            self::BackInTime => 'Times are counted from the start and only grow.',
            self::LineOrHappening => 'Write “line: …”, or “at: +12s” and “happens: …”.',
        };
    }
}
