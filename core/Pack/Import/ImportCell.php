<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

use SilverParrot\Chat\Level;

/** What a cell of a pasted table says, in plain words for levels, lengths of time, and yes or no. */
final class ImportCell
{
    /** By unit: its length in seconds, and what it is written as. */
    public const UNITS = ['seconds' => 1, 'minutes' => 60, 'hours' => 3_600];

    private const UNIT_WORDS = [
        'seconds' => ['s', 'sec', 'secs', 'second', 'seconds'],
        'minutes' => ['m', 'min', 'mins', 'minute', 'minutes'],
        'hours' => ['h', 'hr', 'hrs', 'hour', 'hours'],
    ];

    private const YES = ['yes', 'y', 'true', 'on', 'enabled', 'active', '1', 'x', '✓', 'switched on'];

    private const NO = ['no', 'n', 'false', 'off', 'disabled', 'inactive', '0', '-', 'switched off'];

    private const EVERYONE = ['everyone', 'everybody', 'anyone', 'anybody', 'all', 'viewer', 'viewers', 'any'];

    private const LEVELS = [
        'mod' => Level::Moderator,
        'mods' => Level::Moderator,
        'sub' => Level::Subscriber,
        'subs' => Level::Subscriber,
        'vips' => Level::Vip,
        'owner' => Level::Streamer,
    ];

    /**
     * @return array<string, mixed>|null as a pack document writes levels; null for a cell that names none
     */
    public static function levels(string $cell): ?array
    {
        $words = preg_split(
            '#\s*+(?:[,;/&]|\band\b|\bor\b)\s*+#iu',
            trim(mb_strtolower($cell)),
            -1,
            PREG_SPLIT_NO_EMPTY,
        ) ?: [];
        $isOnly = preg_match('/\bonly\b/iu', $cell) === 1;
        $levels = [];
        foreach ($words as $word) {
            $plain = trim((string) preg_replace('/\bonly\b|\bthe\b|\+$|^at least /iu', '', $word));
            if (in_array($plain, ['up', 'above', 'higher'], true)) {
                continue;
            }
            if (in_array($plain, self::EVERYONE, true)) {
                return [];
            }
            $level = self::LEVELS[$plain] ?? Level::named($plain) ?? Level::named(rtrim($plain, 's'));
            if ($level === null) {
                return null;
            }
            $levels[] = $level;
        }

        // One level means those above it too, unless it says otherwise: that is how such tables are meant.
        return match (true) {
            $levels === [] => null,
            count($levels) === 1 && ! $isOnly => ['at_least' => $levels[0]->word()],
            default => ['any_of' => array_map(static fn (Level $level): string => $level->word(), $levels)],
        };
    }

    /**
     * @param  string|null  $unit  of bare numbers: "seconds"; null where nobody said
     * @return int|null seconds; null for a cell that is no length of time, or a number without a unit
     */
    public static function seconds(string $cell, ?string $unit): ?int
    {
        $cell = trim(mb_strtolower($cell));
        if (preg_match('/^(\d{1,5}):(\d\d)(?::(\d\d))?$/D', $cell, $clock) === 1) {
            return isset($clock[3])
                ? (int) $clock[1] * 3_600 + (int) $clock[2] * 60 + (int) $clock[3]
                : (int) $clock[1] * 60 + (int) $clock[2];
        }
        if (preg_match('/^(\d{1,6}) ?(\p{L}*)\.?$/Du', $cell, $parts) !== 1) {
            return null;
        }
        $unit = $parts[2] === '' ? $unit : self::unit($parts[2]);

        return $unit === null ? null : (int) $parts[1] * self::UNITS[$unit];
    }

    /** @return key-of<self::UNITS>|null a word for a unit of time: "min" */
    public static function unit(string $word): ?string
    {
        foreach (self::UNIT_WORDS as $unit => $words) {
            if (in_array($word, $words, true)) {
                return $unit;
            }
        }

        return null;
    }

    /** @return key-of<self::UNITS>|null the unit that a heading names: "Cooldown (s)", "cooldown in minutes" */
    public static function unitIn(string $heading): ?string
    {
        return preg_match('/(?:\(| in )(\p{L}+)\)?$/Du', trim(mb_strtolower($heading)), $found) === 1
            ? self::unit($found[1])
            : null;
    }

    public static function yes(string $cell): ?bool
    {
        $cell = trim(mb_strtolower($cell));

        return match (true) {
            in_array($cell, self::YES, true) => true,
            in_array($cell, self::NO, true) => false,
            default => null,
        };
    }
}
