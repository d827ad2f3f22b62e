<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class Asks implements Habit
{
    public static function key(): string
    {
        return 'asks';
    }

    public static function label(): string
    {
        return 'ask the same question';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        return $by->last !== '' && str_ends_with($by->last, '?') && $talk->luck->whole(0, 1) === 0
            ? $by->last
            : $talk->filled($talk->luck->one(CrowdWords::QUESTIONS));
    }
}
