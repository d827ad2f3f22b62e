<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;

/** What checks say of a pack as a whole. */
enum Concern: string implements FindingKind
{
    case TriggerTaken = 'trigger-taken';
    case NothingToSay = 'nothing-to-say';

    public function code(): string
    {
        return $this->value;
    }

    public function severity(): Severity
    {
        return match ($this) {
            self::TriggerTaken => Severity::Error,
            self::NothingToSay => Severity::Warning,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::TriggerTaken => '{trigger} sets off {other} already, so it never sets off this command.',
            self::NothingToSay => '{trigger} has nothing to say.',
        };
    }

    public function mend(): string
    {
        return match ($this) {
            self::TriggerTaken => 'Take another trigger here or there.',
            self::NothingToSay => 'Write a response, or switch the command off.',
        };
    }
}
