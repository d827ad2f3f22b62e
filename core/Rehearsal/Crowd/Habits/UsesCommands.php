<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\Habit;

final class UsesCommands implements Habit
{
    public static function key(): string
    {
        return 'commands';
    }

    public static function label(): string
    {
        return 'use commands';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        if ($talk->triggers === []) {
            return '';
        }
        $trigger = $talk->luck->one($talk->triggers);

        return match ($talk->luck->whole(0, 4)) {
            0 => $trigger.' @'.$talk->name(),
            1 => $trigger.' '.$talk->luck->whole(1, 20),
            default => $trigger,
        };
    }
}
