<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd\Habits;

use SilverParrot\Hearing\Phrases\PhraseSyntax;
use SilverParrot\Rehearsal\Crowd\CrowdPerson;
use SilverParrot\Rehearsal\Crowd\CrowdTalk;
use SilverParrot\Rehearsal\Crowd\Habit;

/** One of the alternatives, with a word in each gap. */
final class SaysPhrases implements Habit
{
    public static function key(): string
    {
        return 'phrases';
    }

    public static function label(): string
    {
        return 'say what sets phrases off';
    }

    public function line(CrowdTalk $talk, CrowdPerson $by): string
    {
        if ($talk->phrases === []) {
            return '';
        }
        $read = PhraseSyntax::read($talk->luck->one($talk->phrases));
        if (! is_array($read) || $read === []) {
            return '';
        }
        $phrase = implode(' ', array_map(static fn (?string $word): string => $word ?? 'the', $talk->luck->one($read)));

        return match ($talk->luck->whole(0, 2)) {
            0 => $phrase,
            1 => "$phrase?",
            default => $talk->chatter()." $phrase",
        };
    }
}
