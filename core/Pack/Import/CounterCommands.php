<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

/** The commands that a counter is mostly used by, as a table to be looked at before it is imported. */
final class CounterCommands
{
    /** @return string read it (everyone), one more, one less, set it (moderators and VIPs) */
    public static function table(string $counter): string
    {
        $word = mb_strtolower($counter);
        $place = "counter.$counter";

        return PastedTable::written([
            ['trigger', 'reply', 'level', 'cooldown', 'cooldown for each person', 'group'],
            ["!$word", "[$place] $word so far.", 'everyone', '15 s', '15 s', $counter],
            ["!more$word", "One more: [add 1 to $place] $word.", 'moderators, VIPs', '3 s', '0 s', $counter],
            ["!less$word", "One less: [take 1 from $place] $word.", 'moderators, VIPs', '3 s', '0 s', $counter],
            [
                "!set$word",
                "[set $place to word 1 or $place | quiet]Now [$place] $word.",
                'moderators, VIPs',
                '3 s',
                '0 s',
                $counter,
            ],
        ]);
    }
}
