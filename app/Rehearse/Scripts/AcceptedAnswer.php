<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use SilverParrot\Rehearsal\Scripts\Checked;
use SilverParrot\Rehearsal\Scripts\Expecting\Says;
use SilverParrot\Rehearsal\Scripts\Expecting\SaysNothing;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptPart;
use SilverParrot\Rehearsal\Scripts\ScriptResult;

/** A script in which what is said now to one line stands for what was expected of it and does not hold. */
final class AcceptedAnswer
{
    public static function in(ReadScript $script, int $part, ScriptResult $result): ReadScript
    {
        $unmet = array_map(
            static fn (Checked $one): Expects => $one->expected,
            array_filter(
                $result->checked,
                static fn (Checked $one): bool => $one->part === $part && ! $one->holds(),
            ),
        );
        $said = $result->said($part);
        $kept = array_values(array_filter(
            $script->parts[$part]->expected,
            static fn (Expects $one): bool => ! in_array($one, $unmet, true),
        ));
        $parts = $script->parts;
        $parts[$part] = new ScriptPart($parts[$part]->millis, $parts[$part]->what, [
            $said === [] ? new SaysNothing : new Says($said),
            ...$kept,
        ]);

        return new ReadScript(
            $script->title,
            $script->at,
            $script->seed,
            $script->cast,
            $script->situation,
            array_values($parts),
            $script->expected,
            $script->isFloodLifted,
        );
    }

    /** Whether comments stand further down, which do not stay: its parts are written anew. */
    public static function losesComments(string $text): bool
    {
        return preg_match('/^\s*#/m', mb_substr($text, mb_strlen(self::heading($text)))) === 1;
    }

    /** The comments that stand above all of it. */
    public static function heading(string $text): string
    {
        $heading = '';
        foreach (explode("\n", $text) as $line) {
            if (! str_starts_with($line, '#')) {
                break;
            }
            $heading .= "$line\n";
        }

        return $heading;
    }
}
