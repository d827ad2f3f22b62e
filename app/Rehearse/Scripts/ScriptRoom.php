<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use SilverParrot\Pack\Script;

/** How much of scripts a channel has room for, however they come: they are in each export of its pack. */
final class ScriptRoom
{
    /** Characters of all scripts of a channel together. */
    private const ALL = 1_500_000;

    /** @return string|null why it cannot be kept, and what to do; null where it fits */
    public static function problem(Channel $channel, Script $script): ?string
    {
        $others = $channel->scripts()->whereNot('stable_id', $script->id);
        $length = $others->clone()->reorder()->selectRaw('SUM(CHAR_LENGTH(text)) AS length')->value('length');
        $mine = mb_strlen($script->text);

        return match (true) {
            $mine > Script::LONGEST => self::tooLong(),
            (is_numeric($length) ? (int) $length : 0) + $mine > self::ALL => 'All scripts together are too long: '
                .'delete some.',
            $others->count() >= Script::MOST => 'There are '.Script::MOST.' scripts already: delete some.',
            default => null,
        };
    }

    public static function tooLong(): string
    {
        return 'A script has at most '.number_format(Script::LONGEST).' characters: divide it.';
    }
}
