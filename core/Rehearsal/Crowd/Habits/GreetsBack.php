<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Rehearsal\Crowd\Habit;

final class GreetsBack implements Habit
{
    public static function key(): string
    {
        return 'greets_back';
    }

    public static function label(): string
    {
        return 'answer greetings';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        $greeter = $talk->greeter;
        $talk->greeter = '';

        return $greeter === '' || $greeter === $by->person->name
            ? ''
            : strtr($talk->luck->one(CrowdWords::BACK), ['{name}' => $greeter]);
    }
}
