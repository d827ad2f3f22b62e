<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Hearing\Phrases\PhraseIndexes;
use SilverParrot\Hearing\Phrases\PhraseMatch;
use SilverParrot\Pack\Pack;

/** What a line sets off: a command by its first word, and where that is none, the best phrase that stands in it. */
final class LineMatch
{
    public static function in(
        Pack $pack,
        string $line,
        PhraseIndexes $phrases = new PhraseIndexes,
    ): TriggerMatch|PhraseMatch|null {
        return TriggerMatch::in($pack, $line) ?? $phrases->of($pack)->in($line);
    }
}
