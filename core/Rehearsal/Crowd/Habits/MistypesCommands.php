<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\Habit;

/** One letter too many, too few, or another; now and then that makes another command. */
final class MistypesCommands implements Habit
{
    public static function key(): string
    {
        return 'mistypes';
    }

    public static function label(): string
    {
        return 'mistype commands';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        $letters = $talk->triggers === [] ? [] : mb_str_split($talk->luck->one($talk->triggers));
        $at = count($letters) < 3 ? 0 : $talk->luck->whole(1, count($letters) - 1);
        if ($at === 0) {
            return '';
        }
        $letter = $letters[$at] ?? '';
        $letters[$at] = match ($talk->luck->whole(0, 2)) {
            0 => $letter.$letter,
            1 => '',
            default => $talk->luck->one(mb_str_split('aehklmorst')),
        };

        return implode('', $letters);
    }
}
