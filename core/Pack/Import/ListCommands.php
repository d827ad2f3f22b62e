<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

/** The commands that a list is mostly drawn by, as a table to be looked at before it is imported. */
final class ListCommands
{
    /** @return string draw one; answer a question by chance */
    public static function table(string $list): string
    {
        $word = mb_strtolower($list);

        return PastedTable::written([
            ['trigger', 'reply', 'level', 'cooldown', 'cooldown for each person', 'group'],
            ["!$word", "[caller]: [list.$list]", 'everyone', '5 s', '15 s', $list],
            [
                "!ask$word",
                "[when words]“[words | cut 60]” [caller], [list.$list][else]Ask me something, [caller].[end]",
                'everyone',
                '5 s',
                '15 s',
                $list,
            ],
        ]);
    }
}
