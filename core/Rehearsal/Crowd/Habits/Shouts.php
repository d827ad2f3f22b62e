<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class Shouts implements Habit
{
    public static function key(): string
    {
        return 'shouts';
    }

    public static function label(): string
    {
        return 'shout';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        return mb_strtoupper($talk->filled($talk->luck->one(CrowdWords::SHOUTS)));
    }
}
