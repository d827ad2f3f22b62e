<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class Tricks implements Habit
{
    public static function key(): string
    {
        return 'tricks';
    }

    public static function label(): string
    {
        return 'try to trick the parrot';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        $trick = $talk->filled($talk->luck->one(CrowdWords::TRICKS));

        return $talk->triggers === [] || $talk->luck->whole(0, 1) === 0
            ? $trick
            : $talk->luck->one($talk->triggers)." $trick";
    }
}
