<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay\Forms;

use SilverParrot\Rehearsal\Replay\LogForm;
use SilverParrot\Rehearsal\Replay\LoggedLine;
use SilverParrot\Rehearsal\Replay\LogTime;

/** “18:02:03 odo: text”, with or without brackets around the time and a day before it. */
final class PlainForm implements LogForm
{
    /** A time in brackets, or one of at most two parts; who; what. */
    private const LINE =
        '/^(\[[^\]]{4,40}\]|\S{4,30}(?: \d{1,2}:\d{2}(?::\d{2})?)?(?: [AaPp][Mm])?) ([^\s:]{1,60}): ?(.*)$/Dsu';

    public static function key(): string
    {
        return 'plain';
    }

    public static function label(): string
    {
        return 'plain: 18:02:03 odo: text';
    }

    public function line(string $text): ?LoggedLine
    {
        if (preg_match(self::LINE, $text, $part) !== 1) {
            return null;
        }
        $at = LogTime::of($part[1]);

        // A number before a colon is a part of the time.
        return $at === null || ctype_digit($part[2]) ? null : LoggedLine::said($at, $part[2], $part[3]);
    }
}
