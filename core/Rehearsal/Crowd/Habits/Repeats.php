<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\Habit;

final class Repeats implements Habit
{
    public static function key(): string
    {
        return 'repeats';
    }

    public static function label(): string
    {
        return 'say the same again';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        return $by->last;
    }
}
