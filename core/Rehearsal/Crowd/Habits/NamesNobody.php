<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class NamesNobody implements Habit
{
    public static function key(): string
    {
        return 'unknown_names';
    }

    public static function label(): string
    {
        return 'name people who are not there';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        $name = $talk->luck->one(CrowdWords::NAMES).$talk->luck->whole(100, 999);

        return $talk->triggers === [] ? "@$name?" : $talk->luck->one($talk->triggers)." @$name";
    }
}
