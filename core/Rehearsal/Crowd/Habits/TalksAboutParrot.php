<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class TalksAboutParrot implements Habit
{
    public static function key(): string
    {
        return 'about_parrot';
    }

    public static function label(): string
    {
        return 'talk about the parrot';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        return $talk->luck->one(CrowdWords::ABOUT);
    }
}
