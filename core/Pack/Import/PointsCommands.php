<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

use SilverParrot\Pack\Field;

/** The commands that points are mostly used by, as a table to be looked at before it is imported. */
final class PointsCommands
{
    /** @return string show them, give some away, who has the most */
    public static function table(Field $unit): string
    {
        $word = mb_strtolower($unit->name);
        $give = "[take word 2 from caller.{$unit->name} | quiet][add word 2 to target.{$unit->name} | quiet]";

        return PastedTable::written([
            ['trigger', 'reply', 'level', 'cooldown', 'cooldown for each person', 'group'],
            ["!$word", "[caller] has [caller.{$unit->name}.named].", 'everyone', '3 s', '15 s', $unit->name],
            ["!give$word", "{$give}[caller] gives [target] [word 2].", 'everyone', '3 s', '5 s', $unit->name],
            ["!top$word", "[top 5 by {$unit->name} | scores]", 'everyone', '15 s', '15 s', $unit->name],
        ]);
    }
}
