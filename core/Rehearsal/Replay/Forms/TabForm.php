<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay\Forms;

use SilverParrot\Rehearsal\Replay\LogForm;
use SilverParrot\Rehearsal\Replay\LoggedLine;
use SilverParrot\Rehearsal\Replay\LogTime;

/** “2026-11-25 18:02:03⇥odo⇥text”, as other IRC clients write: signs in place of names for what is no chat. */
final class TabForm implements LogForm
{
    private const NO_NAMES = ['-->', '<--', '--', '=!=', ''];

    public static function key(): string
    {
        return 'tab';
    }

    public static function label(): string
    {
        return 'an IRC client’s with tabs: date and time, name, text';
    }

    public function line(string $text): ?LoggedLine
    {
        $parts = explode("\t", $text, 3);
        $at = count($parts) === 3 ? LogTime::of($parts[0]) : null;
        if ($at === null) {
            return null;
        }
        $name = ltrim(trim($parts[1]), '@+%~&');
        if (in_array($name, self::NO_NAMES, true)) {
            return LoggedLine::other();
        }
        // What somebody does stands behind a star of its own: “ *⇥odo waves”.
        if ($name === '*') {
            [$name, $does] = explode(' ', $parts[2], 2) + [1 => ''];

            return LoggedLine::said($at, $name, $does);
        }

        return LoggedLine::said($at, $name, $parts[2]);
    }
}
