<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

/** All habits that a crowd can have. */
final class Habits
{
    /** @var list<class-string<Habit>> */
    private const ALL = [
        Habits\UsesCommands::class,
        Habits\MistypesCommands::class,
        Habits\RunsCommands::class,
        Habits\SaysPhrases::class,
        Habits\NamesNobody::class,
        Habits\Asks::class,
        Habits\Greets::class,
        Habits\GreetsBack::class,
        Habits\Repeats::class,
        Habits\Shouts::class,
        Habits\PastesLinks::class,
        Habits\FloodsEmotes::class,
        Habits\TalksAboutParrot::class,
        Habits\SpeaksOther::class,
        Habits\Tricks::class,
    ];

    /** @return array<string, Habit> by key */
    public static function all(): array
    {
        $all = [];
        foreach (self::ALL as $habit) {
            $all[$habit::key()] = new $habit;
        }

        return $all;
    }

    /** @return array<string, string> by key */
    public static function labels(): array
    {
        return array_map(static fn (Habit $habit): string => $habit::label(), self::all());
    }
}
