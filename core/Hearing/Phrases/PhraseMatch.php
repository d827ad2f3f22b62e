<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Phrase;

/** A line in which a command's phrase stands. */
final readonly class PhraseMatch
{
    /** @param  int  $words  of the phrase, without its gaps: of several, the one with the most wins */
    public function __construct(public Command $command, public Phrase $phrase, public int $words)
    {
    }
}
