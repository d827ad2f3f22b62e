<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class Greets implements Habit
{
    public static function key(): string
    {
        return 'greets';
    }

    public static function label(): string
    {
        return 'greet';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        $talk->greeter = $by->person->name;

        return $talk->luck->one(CrowdWords::GREETINGS);
    }
}
