<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\Habit;

final class FloodsEmotes implements Habit
{
    public static function key(): string
    {
        return 'emotes';
    }

    public static function label(): string
    {
        return 'flood emotes';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        return implode(' ', array_fill(0, $talk->luck->whole(1, 8), $talk->luck->one($talk->emotes ?: ['<3'])));
    }
}
