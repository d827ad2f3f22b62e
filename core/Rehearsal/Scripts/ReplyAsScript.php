<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Scripts\Expecting\Says;
use SilverParrot\Rehearsal\Scripts\Expecting\SaysNothing;
use SilverParrot\Rehearsal\TimedLine;

/** A reply that was kept as expected as a script of one line: in the same circumstances, with the same luck. */
final class ReplyAsScript
{
    public static function of(Expectation $kept): ReadScript
    {
        return new ReadScript(
            mb_substr("{$kept->line}, by {$kept->by}", 0, Script::LONGEST_TITLE),
            $kept->at,
            $kept->seed,
            [],
            new InitialState($kept->given, $kept->channel),
            [new ScriptPart(
                0,
                new TimedLine(0, $kept->by, $kept->line, $kept->eventKey),
                [$kept->says === [] ? new SaysNothing('') : new Says($kept->says)],
            )],
        );
    }
}
