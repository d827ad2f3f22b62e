<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay\Forms;

use SilverParrot\Rehearsal\Replay\LogForm;
use SilverParrot\Rehearsal\Replay\LoggedLine;
use SilverParrot\Rehearsal\Replay\LogTime;

/** “18:02 <odo> text”, as many IRC clients write: the name in angles, and days on lines of their own. */
final class AngleForm implements LogForm
{
    /** A time has no “<”, and is short. */
    private const SAID = '/^([^<]+)<\s?[@+%~&!]?([^<>\s]+)>(?:\s(.*))?$/Dsu';

    private const DAY = '/^--- (?:Day changed|Log opened) (.{10,40})$/Du';

    /** What is told of coming, going and naming begins so behind its time; what a service says is “-service-”. */
    private const OTHER = ['-!-', '***', '-->', '<--'];

    private const SERVICE = '/^-[^<>-]+-$/Du';

    /** Letters within which that must begin. */
    private const BEGINS_WITHIN = 44;

    /** What somebody does: “18:02 * odo waves”. */
    private const DOES = '/^([^*<]+)\*\s([^<>\s*]+)\s(.*)$/Dsu';

    public static function key(): string
    {
        return 'angle';
    }

    public static function label(): string
    {
        return 'an IRC client’s: 18:02 <odo> text';
    }

    public function line(string $text): ?LoggedLine
    {
        if (str_contains($text, "\t")) {
            return null;
        }
        if (preg_match(self::DAY, $text, $part) === 1) {
            return LoggedLine::day(LogTime::of($part[1]));
        }
        foreach ([self::SAID, self::DOES] as $form) {
            if (preg_match($form, $text, $part) === 1 && ($at = LogTime::of($part[1])) !== null) {
                return LoggedLine::said($at, $part[2], $part[3] ?? '');
            }
        }

        return str_starts_with($text, '---') || self::isOther($text) ? LoggedLine::other() : null;
    }

    private static function isOther(string $text): bool
    {
        foreach (preg_split('/\s+/u', mb_substr($text, 0, self::BEGINS_WITHIN)) ?: [] as $place => $word) {
            if (in_array($word, self::OTHER, true) || preg_match(self::SERVICE, $word) === 1) {
                return $place > 0;
            }
            if (str_contains($word, '<')) {
                return false;
            }
        }

        return false;
    }
}
