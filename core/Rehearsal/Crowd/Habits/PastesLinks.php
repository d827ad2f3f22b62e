<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class PastesLinks implements Habit
{
    public static function key(): string
    {
        return 'links';
    }

    public static function label(): string
    {
        return 'paste links';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        return $talk->luck->one(CrowdWords::LINKS);
    }
}
