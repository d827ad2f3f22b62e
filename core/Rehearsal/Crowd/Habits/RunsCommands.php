<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\Habit;

final class RunsCommands implements Habit
{
    public static function key(): string
    {
        return 'flurries';
    }

    public static function label(): string
    {
        return 'use commands right after each other';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        if ($talk->triggers === []) {
            return '';
        }
        $after = 0;
        for ($more = $talk->luck->whole(1, 4); $more > 0; $more--) {
            $talk->next[] = [$after += $talk->luck->whole(700, 2_500), $talk->luck->one($talk->triggers)];
        }

        return $talk->luck->one($talk->triggers);
    }
}
